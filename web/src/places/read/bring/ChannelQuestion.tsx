import type { Channel } from '../../../api/types';
import { METHOD, RAW_UNIT } from '../../../lib/units';
import { Choice } from '../../../parts/Choice';
import { OneOf } from '../../../parts/OneOf';
import { EVERYTHING } from '../quantities';
import { chosen, measurable, unitsOf, whyProposed, type Answer } from './answers';

/** One column: its name and first numbers, what it is, and in which unit. */
export function ChannelQuestion({
  channel,
  answer,
  onChange,
}: {
  channel: Channel;
  answer: Answer;
  onChange: (answer: Answer) => void;
}) {
  const m = measurable(answer.what);
  const units = m ? unitsOf(channel, m) : [];
  const sure = m && channel.guess.units.length === 1 && answer.unit === channel.guess.units[0];
  return (
    <fieldset className="grid gap-x-6 gap-y-2 border-t py-3 md:grid-cols-[13rem_minmax(0,1fr)]">
      <legend className="sr-only">{channel.label}</legend>
      <div>
        <p className="text-lg font-semibold break-words">{channel.label}</p>
        <p className="text-soft">{channel.samples.slice(0, 3).join('  ')} …</p>
      </div>
      <div className="grid gap-2">
        <Choice
          label={answer.what === null ? 'Choose what this column is.' : 'What is it?'}
          value={answer.what ?? ''}
          onChange={(e) => onChange(chosen(channel, answer, e.target.value))}
          options={[
            ...(answer.what === null ? [{ value: '', label: '…' }] : []),
            { value: 'nothing', label: 'leave out' },
            ...EVERYTHING.map((e) => ({ value: e.key, label: e.label })),
          ]}
        />
        {m && units.length > 1 && !sure && (
          <OneOf
            legend={`Unit of ${m.label}?`}
            value={answer.unit}
            options={units.map((u) => ({ value: u, label: RAW_UNIT[u].label }))}
            onChange={(unit) => onChange({ ...answer, unit })}
          />
        )}
        {m && whyProposed(units, answer.unit) && (
          <p className="text-sm text-soft">{whyProposed(units, answer.unit)}</p>
        )}
        {m && answer.unit && (
          <div className="flex flex-wrap items-end gap-x-6">
            <Choice
              label="Measured by"
              value={answer.method}
              onChange={(e) =>
                onChange({
                  ...answer,
                  method: m.methods.find((x) => x === e.target.value) ?? answer.method,
                })
              }
              options={m.methods.map((x) => ({ value: x, label: METHOD[x] }))}
            />
            {sure && <p className="pb-2.5 text-soft">in {RAW_UNIT[answer.unit].label}</p>}
          </div>
        )}
      </div>
    </fieldset>
  );
}
