import { Link } from '@tanstack/react-router';
import type { ReactNode } from 'react';
import { useEffects, useMakeCard } from '../../api/effects';
import { useReadiness } from '../../api/guard';
import { useOxygenMargin } from '../../api/twin';
import type { Staircase } from '../../api/types';
import { OxygenTonightDrawing } from '../../drawings/OxygenTonightDrawing';
import { SmallStaircase } from '../../drawings/SmallStaircase';
import { ROUTE, type ScreenPath } from '../../frame/places';
import { extreme, type Ahead } from '../../lib/expected';
import { range, signedRange } from '../../lib/number';
import { clockTime } from '../../lib/time';
import { Skeleton } from '../../parts/Skeleton';
import { useWidth } from '../../parts/useWidth';
import { useAtTank } from '../../TankContext';
import { hoursDown } from '../guard/outageTime';
import { headline, title } from '../reason/effectWords';

/** One of the three answers under the day; its heading leads to the whole screen. */
function Panel({ name, to, children }: { name: string; to: ScreenPath; children: ReactNode }) {
  const { tank } = useAtTank();
  return (
    <section className="grid content-start gap-2 border-t pt-3">
      <h2 className="font-bold">
        <Link
          to={ROUTE[to]}
          params={{ tankId: tank.id }}
          className="inline-flex min-h-11 items-center underline decoration-hairline underline-offset-4 hover:decoration-ink"
        >
          {name} <span aria-hidden>&nbsp;›</span>
        </Link>
      </h2>
      {children}
    </section>
  );
}

export function WherePanel({ staircase }: { staircase: Staircase | undefined }) {
  const [ref, width] = useWidth();
  return (
    <Panel name="Where the CO2 comes from" to="staircase">
      <div ref={ref}>
        {!staircase ? (
          <Skeleton className="h-48 w-full" />
        ) : (
          width > 0 && <SmallStaircase staircase={staircase} width={width} />
        )}
      </div>
    </Panel>
  );
}

/** What the night will bring, and how long the animals last if the power fails in it. */
export function OxygenPanel({ ahead, waiting }: { ahead: Ahead | undefined; waiting: boolean }) {
  const { tank } = useAtTank();
  const [ref, width] = useWidth();
  const danger = useOxygenMargin(tank.id).data?.dangerMgPerL;
  const readiness = useReadiness(tank.homeId).data;
  const nights = readiness?.tanks.find((t) => t.tankId === tank.id);
  const lowest = ahead && extreme(ahead.oxygen, 'low');
  const early = nights?.keptTonight.early;
  return (
    <Panel name="Oxygen tonight" to="oxygenMargin">
      <div ref={ref} className="grid gap-1">
        {ahead && lowest ? (
          <>
            <p>
              <strong className="text-2xl text-o2">
                {range(
                  { value: (lowest.low + lowest.high) / 2, low: lowest.low, high: lowest.high },
                  1,
                )}
              </strong>{' '}
              mg/L expected, lowest at {clockTime(new Date(lowest.at).toISOString(), tank.zone)}
            </p>
            {danger === undefined ? (
              <Skeleton className="h-36 w-full" />
            ) : (
              width > 0 && (
                <OxygenTonightDrawing
                  points={ahead.oxygen}
                  danger={danger}
                  zone={tank.zone}
                  width={width}
                />
              )
            )}
          </>
        ) : waiting ? (
          <Skeleton className="h-40 w-full" />
        ) : (
          <p>No model of your tank yet. Import pH from a logger to see the night ahead.</p>
        )}
        {nights && readiness ? (
          <p className="text-sm">
            {early === undefined
              ? `If the power fails tonight: over ${Math.floor(readiness.hoursLookedAhead)} h without danger, with your kit.`
              : `If the power fails tonight: ${hoursDown(early)} until oxygen is dangerous, with your kit.`}
          </p>
        ) : (
          <Skeleton className="h-5 w-4/5" />
        )}
      </div>
    </Panel>
  );
}

/** So many changes back a result is still of interest under today. */
const NEWEST = 4;

/** What the last change that could be compared did. */
export function EffectPanel() {
  const { tank } = useAtTank();
  const effects = useEffects(tank.id);
  const cards = [...(effects.data?.cards ?? [])].reverse();
  const told = cards.find((card) => card.found && card.found.verdict !== 'THIN');
  const last = told ?? cards.find((card) => card.found);
  // The newest are made when nobody made them yet, until one of them tells.
  const missing = told ? undefined : cards.slice(0, NEWEST).find((card) => card.missing);
  useMakeCard(tank.id, missing, effects.dataUpdatedAt);
  const left = last?.found?.effect.trough.left;
  return (
    <Panel name="What the last change did" to="effects">
      {effects.isPending || (missing && !last) ? (
        <Skeleton className="h-24 w-full" />
      ) : last ? (
        <div className="grid gap-1">
          {left?.low !== undefined && left.high !== undefined && (
            <p>
              <strong className="text-2xl text-accent">
                {signedRange({ value: left.value, low: left.low, high: left.high })}
              </strong>{' '}
              on the daily low
            </p>
          )}
          <p>
            {title(last)}. {headline(last)}
          </p>
        </div>
      ) : (
        <p>No change compared yet. Add a change with three whole days of pH before and after.</p>
      )}
    </Panel>
  );
}
