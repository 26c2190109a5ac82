import {
  parseDate,
  parseDateTime,
  parseTime,
  type CalendarDate,
  type CalendarDateTime,
  type Time,
} from '@internationalized/date';
import { useId, useState } from 'react';
import {
  Button,
  Calendar,
  CalendarCell,
  CalendarGrid,
  DateInput,
  DatePicker,
  DateSegment,
  Dialog,
  Group,
  Heading,
  I18nProvider,
  Label,
  Popover,
  TimeField,
} from 'react-aria-components';
import { hours12 } from '../lib/time';
import { BOX, LABEL, Remark, type Around } from './Around';
import { useComposed, type Typed } from './composed';

type Kind = 'date' | 'time' | 'moment';

/** As a form holds it: "2025-10-01", "08:00", "2025-10-01T08:00"; empty until it is whole. */
const read = <T,>(parse: (text: string) => T, text: string): T | null => {
  try {
    return text === '' ? null : parse(text);
  } catch {
    return null;
  }
};
const LENGTH: Record<Kind, number> = { date: 10, time: 5, moment: 16 };

const EARLIEST_YEAR = 1900;

/** Year, month, day: the order that no keeper reads the other way round. */
const YEAR_FIRST = 'en-CA';

/** A day, a time of day, or both; typed part by part or picked from a month. */
export function When({
  kind,
  label,
  hint,
  error,
  className = '',
  min,
  max,
  disabled,
  ...typed
}: Around &
  Typed & { kind: Kind; className?: string; min?: string | number; max?: string | number }) {
  const id = useId();
  const { shown, change, left, takesFocus } = useComposed(typed);
  const day = kind === 'date' ? parseDate : parseDateTime;
  // A year that is still being typed is nobody's day: only this field sees it.
  const [begun, setBegun] = useState<CalendarDate | CalendarDateTime | null>(null);
  const taken = (value: CalendarDate | CalendarDateTime | Time | null) => {
    const early = value !== null && 'year' in value && value.year < EARLIEST_YEAR;
    setBegun(early ? value : null);
    if (!early) change(value === null ? '' : value.toString().slice(0, LENGTH[kind]));
  };
  const common = {
    className: 'grid',
    isDisabled: disabled,
    isInvalid: error !== undefined,
    hourCycle: hours12() ? (12 as const) : (24 as const),
    shouldForceLeadingZeros: true,
    validationBehavior: 'aria' as const,
    'aria-describedby': error || hint ? `${id}-note` : undefined,
    onBlur: left,
  };
  const box = `${BOX} flex items-center ${error ? 'border-2 border-danger' : ''}`;
  const parts = (
    <DateInput
      ref={(input) => takesFocus(input?.querySelector<HTMLElement>('[role=spinbutton]') ?? null)}
      className="flex grow items-center"
    >
      {(segment) => (
        <DateSegment
          segment={segment}
          className="rounded-sm px-0.5 outline-none data-focused:bg-accent data-focused:text-on-accent data-placeholder:text-soft data-[type=literal]:px-0 data-[type=literal]:whitespace-pre"
        />
      )}
    </DateInput>
  );
  return (
    <div className={className} data-when={shown}>
      <I18nProvider locale={YEAR_FIRST}>
        {kind === 'time' ? (
          <TimeField<Time> {...common} value={read(parseTime, shown)} onChange={taken}>
            <Label className={LABEL}>{label}</Label>
            <div className={box}>{parts}</div>
          </TimeField>
        ) : (
          <DatePicker<CalendarDate | CalendarDateTime>
            {...common}
            granularity={kind === 'date' ? 'day' : 'minute'}
            value={begun ?? read<CalendarDate | CalendarDateTime>(day, shown)}
            minValue={read<CalendarDate | CalendarDateTime>(day, String(min ?? ''))}
            maxValue={read<CalendarDate | CalendarDateTime>(day, String(max ?? ''))}
            onChange={taken}
          >
            <Label className={LABEL}>{label}</Label>
            <Group className={`${box} pr-0`}>
              {parts}
              <Button className="grid size-11 shrink-0 place-items-center text-soft hover:text-ink">
                <MonthMark />
              </Button>
            </Group>
            <Popover className="z-40 rounded-sm border border-ink/40 bg-paper p-3">
              <Dialog className="outline-none">
                <Month />
              </Dialog>
            </Popover>
          </DatePicker>
        )}
      </I18nProvider>
      <Remark id={`${id}-note`} hint={hint} error={error} />
    </div>
  );
}

const STEP = 'min-h-11 min-w-11 text-xl text-soft hover:text-ink disabled:opacity-40';

const Month = () => (
  <Calendar firstDayOfWeek="mon">
    <header className="flex items-center justify-between">
      <Button slot="previous" className={STEP}>
        ‹
      </Button>
      <Heading className="font-bold" />
      <Button slot="next" className={STEP}>
        ›
      </Button>
    </header>
    <CalendarGrid>
      {(date) => (
        <CalendarCell
          date={date}
          className="grid size-11 place-items-center rounded-sm outline-none data-focus-visible:outline-2 data-focus-visible:outline-accent data-hovered:bg-dark data-outside-month:hidden data-selected:bg-accent data-selected:text-on-accent data-unavailable:opacity-40"
        />
      )}
    </CalendarGrid>
  </Calendar>
);

const MonthMark = () => (
  <svg width="18" height="18" viewBox="0 0 18 18" aria-hidden>
    <path
      d="M1.5 3.5h15v13h-15zM1.5 7.5h15M5 1v4M13 1v4"
      fill="none"
      stroke="currentColor"
      strokeWidth="1.5"
    />
  </svg>
);
