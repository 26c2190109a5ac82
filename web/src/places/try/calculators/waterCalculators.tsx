import { api, bodyOf } from '../../../api/client';
import { Answer, AnswerList } from './Answers';
import { PlainCalculator } from './PlainCalculator';
import { between } from '../../../lib/number';

const n0 = (value: number | undefined) => value ?? 0;
const WATER = [
  { key: 'dkh', label: 'Alkalinity', unit: 'dKH', start: '7.5', field: 'alkalinity.value' },
  { key: 'temperatureC', label: 'Temperature', as: 'temperature', start: '25.5' },
  { key: 'salinity', label: 'Salinity', as: 'salinity', start: '35' },
] as const;

const END = { SPENT: 'spent', DROWNED: 'drowned', NEITHER: 'neither, within 400 days' } as const;

export function MediaCalculator() {
  return (
    <PlainCalculator
      name="media"
      example="Example: one kilogram with 600 L/h of room air, always."
      asked={[
        { key: 'massKg', label: 'Fill', as: 'mass', start: '1', field: 'mediaMassKg' },
        {
          key: 'airLPerH',
          label: 'Air flow',
          unit: 'L/h',
          start: '600',
          field: 'litresPerH',
        },
        {
          key: 'intakePpm',
          label: 'CO2 of the fresh air',
          unit: 'ppm',
          start: '900',
          field: 'freshPpm',
        },
        {
          key: 'fresh',
          label: 'Fresh share of the air',
          unit: '%',
          start: '100',
          field: 'freshShare',
          hint: 'The rest is recirculated exhaust, saturated with water.',
        },
        { key: 'hoursPerDay', label: 'In use', unit: 'h a day', start: '24' },
        {
          key: 'dries',
          label: 'Otherwise',
          start: 'around',
          options: [
            { value: 'around', label: 'air bypasses the media' },
            { value: 'dry', label: 'fresh air dries the media' },
          ],
        },
        { key: 'temperatureC', label: 'Tank', as: 'temperature', start: '25.5' },
        {
          key: 'capacityLPerKg',
          label: 'Capacity',
          unit: 'L of CO2 a kg',
          start: '',
          optional: true,
          hint: 'Empty: 150, 120 to 180 (assumed).',
        },
        {
          key: 'coolingK',
          label: 'Media cooler than the tank by',
          as: 'warmth',
          start: '',
          optional: true,
          field: 'cooling',
          hint: 'Empty: 3 (assumed).',
        },
      ]}
      ask={(n, text) =>
        bodyOf(
          api.POST('/api/v1/calculators/media', {
            body: {
              massKg: n0(n.massKg),
              airLPerH: n0(n.airLPerH),
              intakePpm: n0(n.intakePpm),
              freshShare: n0(n.fresh) / 100,
              hoursPerDay: n0(n.hoursPerDay),
              driesBetween: text.dries === 'dry',
              temperatureC: n0(n.temperatureC),
              capacityLPerKg: n.capacityLPerKg,
              coolingK: n.coolingK,
            },
          }),
        )
      }
      answers={(a) => (
        <>
          <AnswerList>
            <Answer
              label={`days, then ${END[a.life.end]}`}
              value={
                a.days.high - a.days.low < 0.5
                  ? a.days.value.toFixed(1)
                  : between(a.days.low.toFixed(0), a.days.high.toFixed(0))
              }
              large
            />
            <Answer label="by CO2 alone" value={a.life.daysByCo2.toFixed(0)} unit="days" />
            <Answer
              label="change by colour on day"
              value={a.life.colourDay === undefined ? 'never' : a.life.colourDay.toFixed(0)}
            />
            <Answer label="used by then" value={`${Math.round(a.life.usedAtEnd * 100)} %`} />
          </AnswerList>
          <p className="mt-3 border-l-4 border-alk pl-3">
            Wear goggles, gloves and a dust mask: the dust is caustic. Keep media away from acids
            and children.
          </p>
        </>
      )}
      source="CO2: capacity ÷ (air × ppm). Water: left by saturated exhaust when it cools (Magnus, WMO-No. 8), plus one molecule for each CO2 bound, minus drying by fresh air. Drowned above 33 g in 100 g. Capacity and wetness limits are from memory. Your own fills under Media replace them."
    />
  );
}

export function AlkalinityCalculator() {
  return (
    <PlainCalculator
      name="alkalinity"
      example="Example: one dKH more in 420 L, with each source."
      asked={[
        { key: 'litres', label: 'Net water', as: 'volume', start: '420' },
        { key: 'changeDkh', label: 'Change you want', unit: 'dKH', start: '1' },
        { key: 'ph', label: 'pH now, NBS', start: '8.0' },
        ...WATER,
      ]}
      ask={(n) =>
        bodyOf(
          api.POST('/api/v1/calculators/alkalinity', {
            body: {
              litres: n0(n.litres),
              changeDkh: n0(n.changeDkh),
              ph: n0(n.ph),
              alkalinity: { value: n0(n.dkh), unit: 'dKH' },
              temperatureC: n0(n.temperatureC),
              salinity: n0(n.salinity),
            },
          }),
        )
      }
      answers={(a) => (
        <>
          <table className="w-full text-left">
            <thead className="text-sm text-soft">
              <tr>
                <th className="font-normal">source</th>
                <th className="font-normal">dry, pure</th>
                <th className="font-normal">pH at once</th>
                <th className="font-normal">settled</th>
                <th className="font-normal">side effects</th>
              </tr>
            </thead>
            <tbody>
              {a.sources.map((s) => (
                <tr key={s.source} className="border-t align-top">
                  <td className="py-1.5 pr-3">{s.label}</td>
                  <td className="pr-3 font-semibold whitespace-nowrap">
                    {s.grams.toFixed(1)} g
                    {s.limewaterL !== undefined && (
                      <span className="block text-sm font-normal text-soft">
                        or {s.limewaterL.toFixed(1)} L saturated
                      </span>
                    )}
                  </td>
                  <td className="pr-3">{s.phAtOnce.toFixed(2)}</td>
                  <td className="pr-3">{s.phSettled.toFixed(2)}</td>
                  <td className="text-sm">
                    {s.calciumMgPerL > 0 && `calcium +${s.calciumMgPerL.toFixed(0)} mg/L `}
                    {s.potassiumMgPerL > 0 &&
                      `potassium +${s.potassiumMgPerL.toFixed(0)} mg/L, builds up `}
                    {s.caustic && 'caustic'}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="pt-3">
            Raise no more than 1 dKH a day: over {Math.max(1, Math.ceil(a.daysAtOneDkhADay))} day{' '}
            {a.daysAtOneDkhADay > 1 ? 's' : ''}, in small doses into strong flow. Test again 24 h
            later.
          </p>
          <p className="mt-3 border-l-4 border-alk pl-3">
            Wear goggles and gloves: hydroxides burn. Add powder to water, never water to powder.
            Label it, lock it away from children and pets, and use no food bottles. If it touches
            skin or eyes, rinse long with water and get medical help.
          </p>
        </>
      )}
      source="Stoichiometry of the formulas, IUPAC atomic weights; pH by the carbonate system of Calculators, Water. At once: mixed, before gas exchange. Settled: at the earlier CO2."
    />
  );
}

export function SettlingCalculator() {
  return (
    <PlainCalculator
      name="settling"
      example="Example: the reference tank, 25 mol/(h·atm) in all."
      asked={[
        { key: 'litres', label: 'Net water', as: 'volume', start: '420', field: 'netVolumeL' },
        {
          key: 'conductance',
          label: 'Conductance of all paths for CO2',
          unit: 'mol/(h·atm)',
          start: '25',
          hint: 'Gas balance shows those of your tank.',
        },
        { key: 'airCo2Ppm', label: 'CO2 around which it moves', unit: 'ppm', start: '700' },
        ...WATER,
      ]}
      ask={(n) =>
        bodyOf(
          api.POST('/api/v1/calculators/settling', {
            body: {
              litres: n0(n.litres),
              conductance: n0(n.conductance),
              airCo2Ppm: n0(n.airCo2Ppm),
              alkalinity: { value: n0(n.dkh), unit: 'dKH' },
              temperatureC: n0(n.temperatureC),
              salinity: n0(n.salinity),
            },
          }),
        )
      }
      answers={(a) => (
        <AnswerList>
          <Answer
            label="a change takes"
            value={between(a.settledH.low.toFixed(0), a.settledH.high.toFixed(0))}
            unit="h"
            large
          />
          <Answer label="time constant" value={a.timeConstantH.value.toFixed(1)} unit="h" />
        </AnswerList>
      )}
      source="τ = V ρ (∂DIC/∂pCO2 at constant alkalinity) ÷ ΣG; 95 % after 3 τ. Conductances are from memory, so the time may be 1.7 times shorter or longer."
    />
  );
}
