import { useState } from 'react';
import { Button, type Look } from './Button';
import { Choice } from './Choice';
import { Field } from './Field';
import { FileButton } from './FileButton';
import { MarkShape, type MarkKind } from './Mark';
import { useNotice } from './Notices';
import { OneOf } from './OneOf';
import { OpensSheet } from './OpensSheet';
import { Refusal } from './Refusal';
import { Skeleton } from './Skeleton';
import { Slider } from './Slider';
import { Tick } from './Tick';
import { Waiting } from './Waiting';
import { When } from './When';

const THEMES = ['day', 'night'] as const;
const COLOURS = [
  'paper',
  'ink',
  'soft',
  'hairline',
  'lit',
  'dark',
  'co2',
  'o2',
  'alk',
  'accent',
  'danger',
];
const LOOKS: readonly Look[] = ['main', 'plain', 'quiet'];
const MARKS: readonly MarkKind[] = ['measured', 'entered', 'estimated'];
const UNITS = [
  { value: 'dkh', label: 'dKH' },
  { value: 'meq', label: 'meq/L' },
];

/** All parts in both themes, for developers; nothing in the product leads here. */
export function Gallery() {
  return (
    <main className="grid lg:grid-cols-2">
      <h1 className="sr-only">Parts</h1>
      {THEMES.map((theme) => (
        <section
          key={theme}
          data-theme={theme}
          aria-label={theme}
          className="grid content-start gap-8 bg-paper p-6 text-ink"
        >
          <h2 className="text-2xl font-semibold">{theme}</h2>
          <Colours />
          <Buttons />
          <Fields theme={theme} />
          <States />
        </section>
      ))}
    </main>
  );
}

const Colours = () => (
  <ul className="flex flex-wrap gap-3">
    {COLOURS.map((name) => (
      <li key={name} className="grid gap-1 text-sm">
        <span
          className="size-14 border border-ink/40"
          style={{ background: `var(--${name})` }}
          aria-hidden
        />
        {name}
      </li>
    ))}
  </ul>
);

function Buttons() {
  const tell = useNotice();
  return (
    <div className="flex flex-wrap items-center gap-3">
      {LOOKS.map((look) => (
        <Button key={look} look={look} onClick={() => tell(`${look} pressed.`, () => undefined)}>
          {look}
        </Button>
      ))}
      <Button look="main" disabled>
        disabled
      </Button>
      <OpensSheet says="Open a sheet" about="It comes from below on a phone.">
        {(close) => <Button onClick={close}>Done</Button>}
      </OpensSheet>
      <FileButton label="Any file" take={(file) => tell(`${file.name}, ${file.size} bytes.`)}>
        Choose a file
      </FileButton>
    </div>
  );
}

function Fields({ theme }: { theme: string }) {
  const [unit, setUnit] = useState('dkh');
  const [at, setAt] = useState('2026-01-05T09:55');
  const [day, setDay] = useState('');
  const [time, setTime] = useState('21:00');
  const [one, setOne] = useState<string | null>(null);
  const [share, setShare] = useState(40);
  return (
    <div className="grid gap-4 md:grid-cols-2">
      <Field label="Net water" unit="L" defaultValue="420" hint="Without rock and sand." />
      <Field label="Depth" unit="cm" defaultValue="0" error="Depth must be 5–200 cm." />
      <Choice label="Unit" value={unit} options={UNITS} onChange={(e) => setUnit(e.target.value)} />
      <When kind="moment" label="Taken at" value={at} onChange={(e) => setAt(e.target.value)} />
      <When
        kind="date"
        label="Since"
        value={day}
        error="Enter a day."
        onChange={(e) => setDay(e.target.value)}
      />
      <When kind="time" label="Lights off" value={time} onChange={(e) => setTime(e.target.value)} />
      <OneOf legend="For an outage of" value={one} onChange={setOne} options={UNITS} />
      <Slider
        label="Share"
        value={share}
        min={0}
        max={100}
        step={5}
        shown={`${share} %`}
        onChange={setShare}
      />
      <Tick name={`tick-${theme}`}>The meter shows millivolts</Tick>
    </div>
  );
}

const States = () => (
  <div className="grid gap-4">
    <p className="flex flex-wrap gap-6">
      {MARKS.map((kind) => (
        <span key={kind} className="inline-flex items-center gap-2">
          <svg width={16} height={16} viewBox="0 0 16 16" aria-hidden>
            <MarkShape kind={kind} x={8} y={8} />
          </svg>
          {kind}
        </span>
      ))}
    </p>
    <Skeleton className="h-8 w-2/3" />
    <Waiting error={new Error('The server took too long.')} retry={() => undefined} />
    <Refusal message="Volume must be 1–20,000 L. You entered 0." />
    <p className="border-l-4 border-alk pl-3">Worth knowing before you go on.</p>
    <p className="border-l-4 border-danger pl-3">✕ Wear goggles: limewater burns eyes.</p>
  </div>
);
