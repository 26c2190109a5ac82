import type { ReactNode } from 'react';
import type { Bench, Variant } from '../../../api/types';
import { Choice } from '../../../parts/Field';
import { Slider } from '../../../parts/Slider';

const BORES = [4, 6, 8, 9.5, 12.7, 16, 19];
const percent = (share: number) => `${Math.round(share * 100)} %`;

/** What one can place on the tank; each opens its own numbers. */
export function Remedies({
  bench,
  put,
  onChange,
}: {
  bench: Bench;
  put: Variant;
  onChange: (put: Variant) => void;
}) {
  const set = (change: Partial<Variant>) => onChange({ ...put, ...change });
  const skimmer = bench.skimmerAirDrawLPerH !== undefined;
  return (
    <div>
      <Remedy
        name="Open a window"
        on={put.ventilationTimes !== undefined}
        toggle={(on) => set({ ventilationTimes: on ? 3 : undefined })}
      >
        <Slider
          label="ventilation, over today’s"
          value={put.ventilationTimes ?? 1}
          min={1}
          max={10}
          step={0.5}
          shown={`× ${put.ventilationTimes ?? 1}`}
          onChange={(ventilationTimes) => set({ ventilationTimes })}
        />
      </Remedy>
      <Remedy
        name="Nobody home"
        on={put.nobodyHome === true}
        toggle={(on) => set({ nobodyHome: on ? true : undefined })}
      />
      {skimmer && (
        <>
          <Remedy
            name="Outdoor line to the skimmer"
            on={put.line !== undefined}
            toggle={(on) => set({ line: on ? { lengthM: 6, boreMm: 12.7 } : undefined })}
          >
            {put.line && <LineNumbers line={put.line} onChange={(line) => set({ line })} />}
          </Remedy>
          <Remedy
            name="Scrubber media before the skimmer"
            on={put.mediaPass !== undefined}
            toggle={(on) =>
              set({ mediaPass: on ? 0.05 : undefined, freshShare: on ? 1 : undefined })
            }
          >
            <Slider
              label="CO2 the media take out (fresh 95 %, half-used still about 90 %)"
              value={1 - (put.mediaPass ?? 1)}
              min={0}
              max={1}
              step={0.05}
              shown={percent(1 - (put.mediaPass ?? 1))}
              onChange={(taken) => set({ mediaPass: Math.round((1 - taken) * 100) / 100 })}
            />
            <Slider
              label="of the skimmer’s air is its own exhaust, led back"
              value={1 - (put.freshShare ?? 1)}
              min={0}
              max={1}
              step={0.01}
              shown={percent(1 - (put.freshShare ?? 1))}
              onChange={(back) => set({ freshShare: Math.round((1 - back) * 100) / 100 })}
            />
          </Remedy>
          <Remedy
            name="Skimmer’s air draw"
            on={put.skimmerShare !== undefined}
            toggle={(on) => set({ skimmerShare: on ? 1.5 : undefined })}
          >
            <Slider
              label="over today: below 1 for a clogged venturi, 0 for a stopped pump"
              value={put.skimmerShare ?? 1}
              min={0}
              max={2.5}
              step={0.1}
              shown={`× ${put.skimmerShare ?? 1}`}
              onChange={(skimmerShare) => set({ skimmerShare })}
            />
          </Remedy>
        </>
      )}
      <Remedy
        name="Livelier surface"
        on={put.surfaceTimes !== undefined}
        toggle={(on) => set({ surfaceTimes: on ? 1.5 : undefined })}
      >
        <Slider
          label="exchange through the surfaces: outlets tilted up, lids off"
          value={put.surfaceTimes ?? 1}
          min={0.2}
          max={4}
          step={0.1}
          shown={`× ${put.surfaceTimes ?? 1}`}
          onChange={(surfaceTimes) => set({ surfaceTimes })}
        />
      </Remedy>
      <Remedy
        name="Air stone in room air"
        on={put.stone !== undefined}
        toggle={(on) =>
          set({ stone: on ? { airLPerH: 100, diameterMm: 2, depthM: 0.4 } : undefined })
        }
      >
        {put.stone && <StoneNumbers stone={put.stone} onChange={(stone) => set({ stone })} />}
      </Remedy>
      <Remedy
        name="Limewater in place of today’s alkalinity source"
        on={put.limewaterMlPerDay !== undefined}
        toggle={(on) =>
          set({
            limewaterMlPerDay: on ? 500 : undefined,
            limewaterStrength: on ? 1 : undefined,
          })
        }
      >
        <Slider
          label="a day"
          value={put.limewaterMlPerDay ?? 0}
          min={0}
          max={6000}
          step={20}
          shown={`${put.limewaterMlPerDay ?? 0} mL`}
          onChange={(limewaterMlPerDay) => set({ limewaterMlPerDay })}
        />
        <Slider
          label="of saturation"
          value={put.limewaterStrength ?? 1}
          min={0.1}
          max={1}
          step={0.1}
          shown={percent(put.limewaterStrength ?? 1)}
          onChange={(limewaterStrength) => set({ limewaterStrength })}
        />
      </Remedy>
    </div>
  );
}

function Remedy({
  name,
  on,
  toggle,
  children,
}: {
  name: string;
  on: boolean;
  toggle: (on: boolean) => void;
  children?: ReactNode;
}) {
  return (
    <div className="border-b py-1">
      <label className="flex min-h-11 cursor-pointer items-center gap-3 text-lg">
        <input
          type="checkbox"
          className="size-5 shrink-0 accent-accent"
          checked={on}
          onChange={(e) => toggle(e.target.checked)}
        />
        {name}
      </label>
      {on && children && <div className="grid gap-2 pb-3 pl-8">{children}</div>}
    </div>
  );
}

function LineNumbers({
  line,
  onChange,
}: {
  line: NonNullable<Variant['line']>;
  onChange: (line: NonNullable<Variant['line']>) => void;
}) {
  const { flue } = line;
  return (
    <>
      <Slider
        label="length"
        value={line.lengthM}
        min={1}
        max={25}
        step={0.5}
        shown={`${line.lengthM} m`}
        onChange={(lengthM) => onChange({ ...line, lengthM })}
      />
      <Choice
        label="inner diameter"
        value={String(line.boreMm)}
        onChange={(e) => onChange({ ...line, boreMm: Number(e.target.value) })}
        options={BORES.map((b) => ({
          value: String(b),
          label: `${b} mm${b === 12.7 ? ' (half an inch)' : ''}`,
        }))}
      />
      <Choice
        label="its mouth"
        value={flue ? 'flue' : 'clean'}
        onChange={(e) =>
          onChange({
            ...line,
            flue: e.target.value === 'flue' ? { fromHour: 3, toHour: 7, ppm: 780 } : undefined,
          })
        }
        options={[
          { value: 'clean', label: 'in clean outdoor air' },
          { value: 'flue', label: 'near a flue, for some hours' },
        ]}
      />
      {flue && (
        <>
          <Slider
            label="the flue works from"
            value={flue.fromHour}
            min={0}
            max={23}
            step={1}
            shown={`${flue.fromHour}:00`}
            onChange={(fromHour) => onChange({ ...line, flue: { ...flue, fromHour } })}
          />
          <Slider
            label="until"
            value={flue.toHour}
            min={0}
            max={24}
            step={1}
            shown={`${flue.toHour}:00`}
            onChange={(toHour) => onChange({ ...line, flue: { ...flue, toHour } })}
          />
          <Slider
            label="with"
            value={flue.ppm}
            min={420}
            max={3000}
            step={20}
            shown={`${flue.ppm} ppm`}
            onChange={(ppm) => onChange({ ...line, flue: { ...flue, ppm } })}
          />
        </>
      )}
    </>
  );
}

function StoneNumbers({
  stone,
  onChange,
}: {
  stone: NonNullable<Variant['stone']>;
  onChange: (stone: NonNullable<Variant['stone']>) => void;
}) {
  return (
    <>
      <Slider
        label="air"
        value={stone.airLPerH}
        min={10}
        max={1500}
        step={10}
        shown={`${stone.airLPerH} L/h`}
        onChange={(airLPerH) => onChange({ ...stone, airLPerH })}
      />
      <Slider
        label="bubbles"
        value={stone.diameterMm}
        min={0.5}
        max={8}
        step={0.5}
        shown={`${stone.diameterMm} mm`}
        onChange={(diameterMm) => onChange({ ...stone, diameterMm })}
      />
      <Slider
        label="depth"
        value={stone.depthM}
        min={0.1}
        max={1}
        step={0.05}
        shown={`${stone.depthM} m`}
        onChange={(depthM) => onChange({ ...stone, depthM })}
      />
    </>
  );
}
