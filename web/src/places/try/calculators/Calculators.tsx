import { useState } from 'react';
import { api, bodyOf, type Problem } from '../../../api/client';
import { useGlance } from '../../../api/log';
import type { AlkalinityAmount, Glance, Units, WaterRequest } from '../../../api/types';
import { measure, readAs, typed as asTyped } from '../../../lib/measure';
import { plain, readNumber, signed } from '../../../lib/number';
import { ALKALINITY } from '../../../lib/units';
import { Choice } from '../../../parts/Choice';
import { Field } from '../../../parts/Field';
import { Tabbed } from '../../../parts/Tabbed';
import { Waiting } from '../../../parts/Waiting';
import { useAtTank } from '../../../TankContext';
import {
  AirlineCalculator,
  AirPumpCalculator,
  BubblesCalculator,
  RoomCalculator,
} from './airCalculators';
import { Answer, AnswerList, Calculation, Source } from './Answers';
import { BackupCalculator } from './outageCalculators';
import { ReadOffCalculator } from './readOffCalculator';
import { useCalculation } from './useCalculation';
import { AlkalinityCalculator, MediaCalculator, SettlingCalculator } from './waterCalculators';

const UNIT: Record<Units['alkalinity'], AlkalinityAmount['unit']> = {
  DKH: 'dKH',
  MEQ_PER_L: 'meqPerL',
  PPM_CACO3: 'ppmCaCO3',
};

const PLAIN = [
  ['airline', 'Air hose', AirlineCalculator],
  ['airpump', 'Air pump', AirPumpCalculator],
  ['bubbles', 'Bubbles', BubblesCalculator],
  ['room', 'Room', RoomCalculator],
  ['ups', 'UPS', BackupCalculator],
  ['media', 'Media', MediaCalculator],
  ['alkalinity', 'Alkalinity', AlkalinityCalculator],
  ['settling', 'Settling', SettlingCalculator],
  ['readoff', 'Before and after', ReadOffCalculator],
] as const;

/** Try → Calculators: the sums of seawater, begun with this tank's last readings. */
export function Calculators() {
  const { tank } = useAtTank();
  const glance = useGlance(tank.id);
  if (!glance.data) return <Waiting error={glance.error} retry={() => void glance.refetch()} />;
  return <Loaded glance={glance.data} />;
}

interface Typed {
  ph: string;
  scale: WaterRequest['phScale'];
  alkalinity: string;
  temperature: string;
  salinity: string;
  calcium: string;
  ppm: string;
  hPa: string;
}

function Loaded({ glance }: { glance: Glance }) {
  const { tank, units } = useAtTank();
  const [typed, setTyped] = useState<Typed>(() => startWith(glance, units));
  const set = (key: keyof Typed) => (e: { target: { value: string } }) =>
    setTyped((all) => ({ ...all, [key]: e.target.value }));
  const [open, setOpen] = useState('water');
  const props = { typed, set, units };
  return (
    <div className="grid max-w-5xl gap-2">
      <h1 className="text-xl font-bold">
        Calculators
        <span className="font-normal text-soft">
          {' '}
          · begun with {tank.description.name}’s last readings
        </span>
      </h1>
      <Tabbed
        label="Calculator"
        open={open}
        onOpen={setOpen}
        parts={[
          {
            value: 'water',
            label: 'pH and alkalinity',
            content: <WaterCalculator {...props} />,
          },
          {
            value: 'balance',
            label: 'Balance with air',
            content: <BalanceCalculator {...props} />,
          },
          { value: 'oxygen', label: 'Oxygen', content: <OxygenCalculator {...props} /> },
          ...PLAIN.map(([value, label, Sum]) => ({ value, label, content: <Sum /> })),
        ]}
      />
    </div>
  );
}

interface Props {
  typed: Typed;
  set: (key: keyof Typed) => (e: { target: { value: string } }) => void;
  units: Units;
}

const need = (...texts: string[]): number[] | null => {
  const numbers = texts.map(readNumber);
  return numbers.every((n) => n !== null) ? numbers : null;
};

/** Temperature and salinity as the server reads them. */
const water = (typed: Typed, units: Units): string[] =>
  (['temperature', 'salinity'] as const).map((kind) =>
    String(readAs(typed[kind], kind, units) ?? ''),
  );

function WaterCalculator({ typed, set, units }: Props) {
  const n = need(typed.ph, typed.alkalinity, ...water(typed, units));
  const calcium = readNumber(typed.calcium);
  const degree = measure('warmth', units);
  const body = n && {
    ph: n[0] ?? 0,
    phScale: typed.scale,
    alkalinity: { value: n[1] ?? 0, unit: UNIT[units.alkalinity] },
    temperatureC: n[2] ?? 0,
    salinity: n[3] ?? 0,
    calciumMgPerL: calcium ?? undefined,
  };
  const sum = useCalculation('water', body, () =>
    bodyOf(api.POST('/api/v1/calculators/water', { body: body ?? NOTHING })),
  );
  const a = sum.error || !body ? undefined : sum.data;
  return (
    <Calculation
      problem={sum.error}
      incomplete={!body}
      asked={
        <>
          <Num label="pH" at="ph" unit="pH" problem={sum.error} {...{ typed, set }} />
          <Choice
            label="pH scale"
            value={typed.scale}
            onChange={set('scale')}
            options={[
              { value: 'NBS', label: 'NBS: meters and kits' },
              { value: 'TOTAL', label: 'total: laboratories' },
            ]}
          />
          <Water {...{ typed, set, units }} problem={sum.error} />
          <Num
            label="Calcium, if tested"
            at="calcium"
            unit="mg/L"
            field="calciumMgPerL"
            optional
            problem={sum.error}
            {...{ typed, set }}
          />
        </>
      }
      answer={
        a && (
          <AnswerList>
            <Answer label="CO2 in the water" value={a.co2Uatm.toFixed(0)} unit="µatm" large />
            <Answer label="pH, NBS scale" value={a.phNbs.toFixed(3)} />
            <Answer label="pH, total scale" value={a.phTotal.toFixed(3)} />
            <Answer label="aragonite saturation Ω" value={a.omegaAragonite.toFixed(2)} />
            <Answer label="dissolved CO2" value={a.co2UmolPerKg.toFixed(1)} unit="µmol/kg" />
            <Answer label="bicarbonate" value={a.bicarbonateUmolPerKg.toFixed(0)} unit="µmol/kg" />
            <Answer label="carbonate" value={a.carbonateUmolPerKg.toFixed(0)} unit="µmol/kg" />
            <Answer label="DIC" value={a.dicUmolPerKg.toFixed(0)} unit="µmol/kg" />
            <Answer label="alkalinity" value={a.alkalinityUmolPerKg.toFixed(0)} unit="µmol/kg" />
          </AnswerList>
        )
      }
      after={
        a && (
          <>
            <h2 className="pt-5 pb-2 font-bold">What would change the result</h2>
            <AnswerList>
              <Answer
                label="probe 0.05 higher"
                value={signed(a.sensitivities.co2UatmPer005Ph)}
                unit="µatm"
              />
              <Answer
                label="alkalinity 1 dKH higher, same pH"
                value={signed(a.sensitivities.co2UatmPerDkh)}
                unit="µatm"
              />
              <Answer
                label={`1 ${degree.label} warmer, same reading`}
                value={signed(a.sensitivities.co2UatmPerDegC * degree.to(1))}
                unit="µatm"
              />
              <Answer
                label="1 dKH more, same air"
                value={signed(a.sensitivities.phPerDkh, 3)}
                unit="pH"
              />
              <Answer
                label="100 µatm more, same alkalinity"
                value={signed(a.sensitivities.phPer100Uatm, 3)}
                unit="pH"
              />
              <Answer
                label={`the same water 1 ${degree.label} warmer`}
                value={signed(a.sensitivities.phPerDegC * degree.to(1), 3)}
                unit="pH"
              />
            </AnswerList>
            <Source extrapolated={a.extrapolated}>
              Carbonic acid: Lueker, Dickson &amp; Keeling 2000, below S 23 Waters, Millero &amp;
              Woosley 2014. CO2 solubility: Weiss 1974. Boric acid: Dickson 1990. NBS scale:
              Takahashi et al. 1982. Aragonite: Mucci 1983. Without a test, calcium as in sea salt.
            </Source>
          </>
        )
      }
    />
  );
}

function BalanceCalculator({ typed, set, units }: Props) {
  const n = need(typed.ppm, typed.hPa, typed.alkalinity, ...water(typed, units));
  const body = n && {
    airCo2Ppm: n[0] ?? 0,
    pressureHpa: n[1] ?? 0,
    alkalinity: { value: n[2] ?? 0, unit: UNIT[units.alkalinity] },
    temperatureC: n[3] ?? 0,
    salinity: n[4] ?? 0,
  };
  const sum = useCalculation('balance', body, () =>
    bodyOf(
      api.POST('/api/v1/calculators/equilibrium', { body: body ?? { ...NOTHING, airCo2Ppm: 0 } }),
    ),
  );
  const a = sum.error || !body ? undefined : sum.data;
  return (
    <Calculation
      problem={sum.error}
      incomplete={!body}
      asked={
        <>
          <Num
            label="CO2 in the air"
            at="ppm"
            unit="ppm"
            field="airCo2Ppm"
            problem={sum.error}
            {...{ typed, set }}
          />
          <Pressure {...{ typed, set }} problem={sum.error} />
          <Water {...{ typed, set, units }} problem={sum.error} />
        </>
      }
      answer={
        a && (
          <AnswerList>
            <Answer label="the water settles at, NBS" value={`pH ${a.phNbs.toFixed(2)}`} large />
            <Answer label="total scale" value={`pH ${a.phTotal.toFixed(3)}`} />
            <Answer label="CO2 above the water" value={a.co2Uatm.toFixed(0)} unit="µatm" />
          </AnswerList>
        )
      }
      after={
        a && (
          <Source extrapolated={a.extrapolated}>
            ppm of dry air times pressure less water vapour (Weiss &amp; Price 1980), then the
            carbonate system at this alkalinity. A meter that ignores altitude reads low above sea
            level: enter ppm × 1013 ÷ pressure.
          </Source>
        )
      }
    />
  );
}

function OxygenCalculator({ typed, set, units }: Props) {
  const n = need(...water(typed, units), typed.hPa);
  const body = n && { temperatureC: n[0] ?? 0, salinity: n[1] ?? 0, pressureHpa: n[2] ?? 0 };
  const sum = useCalculation('oxygen', body, () =>
    bodyOf(api.POST('/api/v1/calculators/oxygen', { body: body ?? NOTHING })),
  );
  const a = sum.error || !body ? undefined : sum.data;
  return (
    <Calculation
      problem={sum.error}
      incomplete={!body}
      asked={
        <>
          <WarmthAndSalt {...{ typed, set, units }} problem={sum.error} />
          <Pressure {...{ typed, set }} problem={sum.error} />
        </>
      }
      answer={
        a && (
          <AnswerList>
            <Answer
              label="oxygen at saturation"
              value={a.saturationMgPerL.toFixed(2)}
              unit="mg/L"
              large
            />
            <Answer label="the same" value={a.saturationUmolPerKg.toFixed(1)} unit="µmol/kg" />
          </AnswerList>
        )
      }
      after={
        a && (
          <Source extrapolated={false}>
            Garcia &amp; Gordon 1992 (Benson &amp; Krause data), corrected for pressure.
          </Source>
        )
      }
    />
  );
}

function Water({ typed, set, units, problem }: Props & { problem: Problem | null }) {
  return (
    <>
      <Num
        label="Alkalinity"
        at="alkalinity"
        unit={ALKALINITY[units.alkalinity].label}
        field="alkalinity.value"
        problem={problem}
        {...{ typed, set }}
      />
      <WarmthAndSalt {...{ typed, set, units, problem }} />
    </>
  );
}

function WarmthAndSalt({ typed, set, units, problem }: Props & { problem: Problem | null }) {
  return (
    <>
      <Num
        label="Temperature"
        at="temperature"
        unit={measure('temperature', units).label}
        field="temperatureC"
        problem={problem}
        {...{ typed, set }}
      />
      <Num
        label="Salinity"
        at="salinity"
        unit={measure('salinity', units).label}
        problem={problem}
        {...{ typed, set }}
      />
    </>
  );
}

function Pressure({
  problem,
  typed,
  set,
}: Pick<Props, 'typed' | 'set'> & { problem: Problem | null }) {
  return (
    <Num
      label="Air pressure"
      at="hPa"
      unit="hPa"
      field="pressureHpa"
      {...{ problem, typed, set }}
    />
  );
}

function Num({
  label,
  at,
  unit,
  field = at,
  optional = false,
  typed,
  set,
  problem,
}: {
  label: string;
  at: keyof Typed;
  unit: string;
  field?: string;
  optional?: boolean;
  problem: Problem | null;
} & Pick<Props, 'typed' | 'set'>) {
  const text = typed[at];
  const unread = readNumber(text) === null && !(optional && text.trim() === '');
  return (
    <Field
      label={label}
      inputMode="decimal"
      unit={unit}
      value={text}
      onChange={set(at)}
      error={unread ? 'Enter a number.' : problem?.at(field)}
    />
  );
}

const NOTHING: WaterRequest = {
  ph: 0,
  phScale: 'NBS',
  alkalinity: { value: 0, unit: 'dKH' },
  temperatureC: 0,
  salinity: 0,
};

/** The last readings where they are in the sum's unit, else the values of the worked example. */
function startWith(glance: Glance, units: Units): Typed {
  const same = (reading: Glance['ph'], unit: string) =>
    reading?.unit === unit ? plain(reading.value) : undefined;
  return {
    ph: same(glance.ph, 'PH_NBS') ?? '8.10',
    scale: 'NBS',
    alkalinity:
      same(glance.alkalinity, units.alkalinity) ??
      { DKH: '8', MEQ_PER_L: '2.9', PPM_CACO3: '143' }[units.alkalinity],
    temperature: same(glance.temperature, units.temperature) ?? asTyped(25, 'temperature', units),
    salinity: same(glance.salinity, units.salinity) ?? asTyped(35, 'salinity', units),
    calcium: '',
    ppm: same(glance.roomCo2, 'CO2_PPM') ?? '420',
    hPa: '1013.25',
  };
}
