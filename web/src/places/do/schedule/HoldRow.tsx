import { useState } from 'react';
import { useHold, useHolds, useLetGo } from '../../../api/schedule';
import type { HeldLane, HeldUntil, Lane, LaneState, Schedule } from '../../../api/types';
import { readNumber } from '../../../lib/number';
import { clockTime } from '../../../lib/time';
import { Button } from '../../../parts/Button';
import { Choice } from '../../../parts/Choice';
import { Field } from '../../../parts/Field';
import { useNotice } from '../../../parts/Notices';
import { Refusal } from '../../../parts/Refusal';
import { useAtTank } from '../../../TankContext';
import { plainStates } from './fields';
import { stateWords } from './words';

const ALL_FLOW = 'all-flow-pumps';
const FEEDING_MIN = '10';
const MOST_MIN = 720;
const MINUTE_MS = 60_000;

/** Lanes held by hand, such as pumps off while the fish are fed; who holds them is asked at the end. */
export function HoldRow({ saved, now }: { saved: Schedule; now: number }) {
  const { tank } = useAtTank();
  const holds = useHolds(tank.id);
  const hold = useHold(tank.id);
  const tell = useNotice();
  const flow = saved.lanes.filter((l) => l.kind === 'FLOW_PUMP');
  const [which, setWhich] = useState(flow.length > 1 ? ALL_FLOW : '');
  const [does, setDoes] = useState<LaneState['does']>('OFF');
  const [minutes, setMinutes] = useState(FEEDING_MIN);
  const lanes = which === ALL_FLOW ? flow : saved.lanes.filter((l) => l.id === which).slice(0, 1);
  const chosen = lanes.length > 0 ? lanes : saved.lanes.slice(0, 1);
  const [first] = chosen;
  if (!first) return null;
  const states = plainStates(first.kind);
  const state = states.find((s) => s === does) ?? states[0] ?? 'OFF';
  const lasts = readNumber(minutes);
  const right = lasts !== null && Number.isInteger(lasts) && lasts >= 1 && lasts <= MOST_MIN;
  return (
    <section aria-labelledby="by-hand" className="grid content-start gap-3 print:hidden">
      <h2 id="by-hand" className="text-lg font-bold">
        Hold by hand
      </h2>
      <div className="flex flex-wrap items-start gap-3">
        <Choice
          label="held"
          className="w-56"
          value={which === ALL_FLOW ? ALL_FLOW : first.id}
          options={[
            ...(flow.length > 1 ? [{ value: ALL_FLOW, label: 'all flow pumps' }] : []),
            ...saved.lanes.map((l) => ({ value: l.id, label: l.name })),
          ]}
          onChange={(e) => setWhich(e.target.value)}
        />
        <Choice
          label="as"
          className="w-40"
          value={state}
          options={states.map((s) => ({ value: s, label: stateWords({ does: s }, first.kind) }))}
          onChange={(e) => setDoes(e.target.value as LaneState['does'])}
        />
        <Field
          label="for"
          unit="min"
          className="w-32"
          inputMode="numeric"
          value={minutes}
          error={right ? undefined : `1 to ${MOST_MIN} minutes`}
          onChange={(e) => setMinutes(e.target.value)}
        />
        <Button
          className="self-end"
          disabled={!right || hold.isPending}
          onClick={() =>
            hold.mutate(
              { lanes: chosen.map((l) => l.id), state: { does: state }, minutes: lasts ?? 0 },
              {
                onSuccess: (held) => tell(heldInWords(held, tank.zone)),
              },
            )
          }
        >
          Hold
        </Button>
      </div>
      <p className="text-sm text-soft">
        A hold switches nothing off. Unplug before you put your hands in the water.
      </p>
      <Refusal message={hold.error?.message ?? holds.error?.message} />
      <ul>
        {holds.data?.map((held) => (
          <Held key={held.id} held={held} now={now} kind={kindOf(saved, held)} />
        ))}
      </ul>
    </section>
  );
}

/** What became of a hold: until when, and how oxygen stands until then. */
export const heldInWords = (held: HeldUntil, zone: string) =>
  [
    held.shortened
      ? `Held only until ${clockTime(held.until, zone)}. After that oxygen may be dangerous.`
      : `Held until ${clockTime(held.until, zone)}.`,
    held.lowestOxygenMgPerL !== undefined &&
      `Lowest oxygen until then: ${held.lowestOxygenMgPerL.toFixed(1)} mg/L.`,
    'You switch the device. At the end we ask whether it runs again.',
  ]
    .filter(Boolean)
    .join(' ');

const kindOf = (saved: Schedule, held: HeldLane): Lane['kind'] =>
  saved.lanes.find((l) => l.id === held.lane)?.kind ?? 'FLOW_PUMP';

function Held({ held, now, kind }: { held: HeldLane; now: number; kind: Lane['kind'] }) {
  const { tank } = useAtTank();
  const tell = useNotice();
  const hold = useHold(tank.id);
  const letGo = useLetGo(tank.id);
  const over = Date.parse(held.until) <= now;
  const until = clockTime(held.until, tank.zone);
  const holdOn = () =>
    hold.mutate({
      lanes: [held.lane],
      state: held.state,
      minutes: Math.max(1, Math.round((Date.parse(held.until) - Date.now()) / MINUTE_MS)),
    });
  return (
    <li className="flex flex-wrap items-baseline justify-between gap-x-4 border-t border-hairline py-1">
      <span>
        <strong className="font-semibold">{held.name}</strong>{' '}
        {over
          ? `was held until ${until}. Does it run as it should?`
          : `${stateWords(held.state, kind)} until ${until}`}
      </span>
      <Button
        look="quiet"
        aria-label={over ? `${held.name} runs as it should` : `Release ${held.name}`}
        disabled={letGo.isPending}
        onClick={() =>
          letGo.mutate(held.id, {
            onSuccess: () => {
              if (!over) tell(`“${held.name}” follows its schedule again.`, holdOn);
            },
          })
        }
      >
        {over ? 'runs as it should' : 'Release'}
      </Button>
      <Refusal message={letGo.error?.message} />
    </li>
  );
}
