import { getRouteApi } from '@tanstack/react-router';
import { ToggleGroup } from 'radix-ui';
import { useState } from 'react';
import { useStaircase } from '../../api/log';
import type { MomentName, StaircaseView } from '../../api/types';
import { CarbonateMapDrawing } from '../../drawings/CarbonateMapDrawing';
import { StaircaseDrawing } from '../../drawings/StaircaseDrawing';
import { dayAndTime, weekdayAndTime } from '../../lib/time';
import { range, toTen } from '../../lib/number';
import { METHOD } from '../../lib/units';
import { HowWorkedOut } from '../../parts/HowWorkedOut';
import { Button } from '../../parts/Button';
import { useWidth } from '../../parts/useWidth';
import { Waiting } from '../../parts/Waiting';
import { useAtTank } from '../../TankContext';
import { Evidence } from './Evidence';
import { VerdictText } from './VerdictText';
import { WorkingSheet } from './WorkingSheet';

export interface StaircaseSearch {
  moment?: MomentName;
  at?: string;
}

const route = getRouteApi('/signed-in/tank/$tankId/staircase');

/** Reason → Staircase: where the CO2 comes from. */
export function StaircaseScreen() {
  const { tank } = useAtTank();
  const search = route.useSearch();
  const query = useStaircase(tank.id, search.moment, search.at);
  if (!query.data) return <Waiting error={query.error} retry={() => void query.refetch()} />;
  return <Loaded view={query.data} />;
}

function Loaded({ view }: { view: StaircaseView }) {
  const { tank, units } = useAtTank();
  const [showWorking, setShowWorking] = useState(false);
  const [stairsRef, stairsWidth] = useWidth();
  const [mapRef, mapWidth] = useWidth();
  const s = view.staircase;
  const ph = s.inputs.find((i) => i.name === 'PH');
  return (
    <div className="grid gap-x-10 gap-y-8 lg:grid-cols-[minmax(0,1fr)_21rem]">
      <section aria-labelledby="stairs">
        <div className="flex flex-wrap items-baseline justify-between gap-x-6 gap-y-2 pb-3">
          <h1 id="stairs" className="text-xl font-bold">
            Where the CO2 comes from
            {ph?.at && (
              <span className="font-normal text-soft">
                {' '}
                · pH {ph.value.toFixed(2)}, {ph.method && METHOD[ph.method]},{' '}
                {dayAndTime(ph.at, tank.zone)}, {s.dark ? 'dark' : 'lit'}
              </span>
            )}
          </h1>
          <MomentSwitch view={view} />
        </div>
        <div ref={stairsRef}>
          {stairsWidth > 0 && <StaircaseDrawing staircase={s} width={stairsWidth} />}
        </div>
        <p className="pt-2 text-sm text-soft">
          {s.waterUatm
            ? `CO2 in the water: ${Math.round(s.waterUatm.value)} µatm (${toTen(s.waterUatm.low)}–${toTen(s.waterUatm.high)}). `
            : ''}
          Hatched: how far off a step may be.
        </p>
        <HowWorkedOut>
          Steps are in ppm of dry air, as on a CO2 meter. Water follows the room within about{' '}
          {range(s.settlingHours, 0)} h.
        </HowWorkedOut>
      </section>
      <aside aria-label="Verdict" className="lg:border-l lg:pl-8">
        <VerdictText verdict={s.verdict} />
        <Button look="quiet" className="mt-3" onClick={() => setShowWorking(true)}>
          Show the working
        </Button>
      </aside>
      <section aria-labelledby="map" className="border-t pt-5">
        <h2 id="map" className="pb-1 text-xl font-bold">
          Alkalinity and pH
          <span className="font-normal text-soft"> · each line is the same CO2</span>
        </h2>
        <div ref={mapRef}>
          {mapWidth > 0 && (
            <CarbonateMapDrawing
              map={view.map}
              staircase={s}
              band={tank.description.band}
              unit={units.alkalinity}
              width={mapWidth}
            />
          )}
        </div>
        <p className="pt-1 text-sm text-soft">
          Dot: measured, with error bars. Rings: where this water would settle. Dotted: your goal
          range, {tank.description.band.troughAtLeast.toFixed(2)}–
          {tank.description.band.peakAtMost.toFixed(2)}{' '}
          {tank.description.band.reason && ` (${tank.description.band.reason})`}{' '}
          {s.omegaAragonite !== undefined &&
            ` Aragonite saturation Ω ${s.omegaAragonite.toFixed(1)}.`}
        </p>
      </section>
      <section aria-labelledby="evidence" className="border-t pt-5 lg:border-l lg:pl-8">
        <Evidence staircase={s} />
      </section>
      <WorkingSheet staircase={s} open={showWorking} onOpenChange={setShowWorking} />
    </div>
  );
}

const MOMENT_NAMES: Record<MomentName, string> = {
  BEFORE_LIGHTS_ON: 'before lights-on',
  BEFORE_LIGHTS_OFF: 'before lights-off',
  LATEST: 'latest',
  READING: 'this reading',
};

/** Moves the staircase through the day. */
function MomentSwitch({ view }: { view: StaircaseView }) {
  const { tank } = useAtTank();
  const navigate = route.useNavigate();
  return (
    <ToggleGroup.Root
      type="single"
      value={view.shown}
      onValueChange={(moment) =>
        moment && void navigate({ search: { moment: moment as MomentName }, replace: true })
      }
      aria-label="Moment of the day"
      className="flex flex-wrap gap-x-4"
    >
      {view.moments.map((m) => (
        <ToggleGroup.Item
          key={m.name}
          value={m.name}
          disabled={!m.ph}
          className="min-h-11 border-b-2 border-transparent text-left text-sm text-soft md:text-base data-[state=on]:border-accent data-[state=on]:text-ink"
        >
          {MOMENT_NAMES[m.name]}
          <span className="block text-sm">
            {m.ph ? weekdayAndTime(m.ph.at, tank.zone) : 'no reading'}
          </span>
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}
