import type { Lane, LaneRule, Schedule } from '../../../api/types';
import { Button } from '../../../parts/Button';
import type { Open } from './Editing';
import { ruleWords, stateWords, STRENGTH } from './words';

const ORDER = Object.keys(STRENGTH) as LaneRule['kind'][];

/** Every lane with its rules, the strongest on top; where none speaks it is at rest. */
export function LaneList({ schedule, open }: { schedule: Schedule; open: (what: Open) => void }) {
  return (
    <section aria-labelledby="lanes" className="grid gap-2 border-t border-hairline pt-4">
      <h2 id="lanes" className="text-lg font-bold">
        What each device does · strongest rule first
      </h2>
      <ul className="grid gap-x-10 md:grid-cols-2">
        {schedule.lanes.map((lane) => (
          <li key={lane.id} className="grid content-start border-t border-hairline py-2">
            <div className="flex flex-wrap items-baseline justify-between gap-x-3">
              <h3 className="font-semibold">{lane.name}</h3>
              <span>
                <Button
                  look="quiet"
                  aria-label={`Add a rule for ${lane.name}`}
                  onClick={() => open({ lane, what: 'rule' })}
                >
                  Add a rule
                </Button>{' '}
                <Button
                  look="quiet"
                  aria-label={`Edit ${lane.name}`}
                  onClick={() => open({ lane, what: 'lane' })}
                >
                  Edit
                </Button>
              </span>
            </div>
            <ul>
              {rulesOf(schedule, lane).map((rule, i) => (
                <li key={i}>
                  <button
                    type="button"
                    className="min-h-11 text-left decoration-hairline underline-offset-4 hover:underline"
                    onClick={() => open({ lane, rule, what: 'rule' })}
                  >
                    <span className="text-sm text-soft">{STRENGTH[rule.kind]}: </span>
                    {ruleWords(rule, lane.kind, schedule.windows)}
                  </button>
                </li>
              ))}
              <li className="text-soft">
                <span className="text-sm">no rule: </span>
                {stateWords(lane.rest, lane.kind)}
                <span className="text-sm"> · after a power cut: </span>
                {stateWords(lane.afterPower, lane.kind)}
              </li>
            </ul>
          </li>
        ))}
      </ul>
    </section>
  );
}

const rulesOf = (schedule: Schedule, lane: Lane) =>
  ORDER.flatMap((kind) =>
    schedule.rules.filter((rule) => rule.lane === lane.id && rule.kind === kind),
  );
