import type { Lane, LaneState } from '../../../api/types';
import { Choice } from '../../../parts/Choice';
import { Field } from '../../../parts/Field';
import { readLasting, type StateDraft } from './drafts';
import { lasting, stateWords } from './words';

const RUNS: readonly LaneState['does'][] = ['ON', 'OFF', 'SHARE', 'WAVE'];
const AIR: readonly LaneState['does'][] = ['FRESH', 'MEDIA', 'RECIRCULATED'];
const DOSES: readonly LaneState['does'][] = ['ON', 'OFF'];

export const doable = (kind: Lane['kind']) =>
  kind === 'AIR_PATH' ? AIR : kind === 'DOSER' ? DOSES : RUNS;

/** Those that need no number. */
export const plainStates = (kind: Lane['kind']) =>
  doable(kind).filter((d) => d !== 'SHARE' && d !== 'WAVE' && d !== 'RECIRCULATED');

const OPTION: Partial<Record<LaneState['does'], string>> = {
  SHARE: 'at a share of full power',
  WAVE: 'a wave: on and off by turns',
  RECIRCULATED: 'recirculated through media',
};

/** What a lane is to do, as far as such a lane can. */
export function StateFields({
  label,
  kind,
  value,
  onChange,
}: {
  label: string;
  kind: Lane['kind'];
  value: StateDraft;
  onChange: (value: StateDraft) => void;
}) {
  return (
    <div className="flex flex-wrap items-start gap-3">
      <Choice
        label={label}
        className="w-64"
        value={value.does}
        options={doable(kind).map((does) => ({
          value: does,
          label: OPTION[does] ?? stateWords({ does }, kind),
        }))}
        onChange={(e) => onChange({ ...value, does: e.target.value as LaneState['does'] })}
      />
      {(value.does === 'SHARE' || value.does === 'RECIRCULATED') && (
        <Field
          label={value.does === 'SHARE' ? 'Of full power' : 'Fresh air in it'}
          unit="%"
          className="w-36"
          inputMode="decimal"
          value={value.share}
          onChange={(e) => onChange({ ...value, share: e.target.value })}
        />
      )}
      {value.does === 'WAVE' && (
        <>
          <Lasting label="On for" value={value.on} onChange={(on) => onChange({ ...value, on })} />
          <Lasting
            label="Off for"
            value={value.off}
            onChange={(off) => onChange({ ...value, off })}
          />
        </>
      )}
    </div>
  );
}

/** How long something lasts, typed as people say it. */
export function Lasting({
  label,
  value,
  onChange,
}: {
  label: string;
  value: string;
  onChange: (value: string) => void;
}) {
  const read = readLasting(value);
  return (
    <Field
      label={label}
      className="w-36"
      value={value}
      hint={read === undefined ? 'such as 5 min or 30 s' : lasting(read)}
      onChange={(e) => onChange(e.target.value)}
    />
  );
}
