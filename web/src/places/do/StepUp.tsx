import { useMemo, useState } from 'react';
import { useBench, useForecast } from '../../api/twin';
import type { PutMeasure } from '../../api/types';
import { Button } from '../../parts/Button';
import { useAtTank } from '../../TankContext';
import { firstStep } from './stepUp';

/** A rise as the Bench takes it. */
export interface Rise {
  now: PutMeasure;
  then: PutMeasure;
}

/** A dose goes up in two steps with a test between; what the whole of it would do is the Bench's own word. */
export function StepUp({
  from,
  to,
  rise,
  take,
}: {
  from: number;
  to: number;
  rise?: Rise;
  take: (mlPerDay: number) => void;
}) {
  const [taken, setTaken] = useState(0);
  const half = firstStep(from, to);
  if (half === undefined || to <= taken) return null;
  return (
    <div className="max-w-prose border-l-4 border-alk pl-3">
      {rise && <AtOnce rise={rise} />}
      <p>
        {from === 0 ? 'Start with half of it' : 'Raise the dose in two steps'}: {half} mL a day
        first. Test alkalinity after 2 or 3 days, at the same hour. Then add the rest.
      </p>
      <Button
        look="quiet"
        onClick={() => {
          setTaken(half);
          take(half);
        }}
      >
        Use {half} mL
      </Button>
    </div>
  );
}

/** What the rise brings on top of what holds for today's dose anyway. */
function AtOnce({ rise }: { rise: Rise }) {
  const { tank } = useAtTank();
  const bench = useBench(tank.id).data;
  const variants = useMemo(() => [{ measures: [rise.now] }, { measures: [rise.then] }], [rise]);
  const [now, then] = useForecast(tank.id, bench?.tanks, variants, DAYS).data ?? [];
  return then?.cautions
    .filter((caution) => !now?.cautions.includes(caution))
    .map((caution) => <p key={caution}>{caution}</p>);
}

const DAYS = 2;
