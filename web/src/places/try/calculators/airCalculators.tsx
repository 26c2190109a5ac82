import { api, bodyOf } from '../../../api/client';
import { useHomes } from '../../../api/homes';
import { measure, show, shown } from '../../../lib/measure';
import { money } from '../../../lib/money';
import { between, range } from '../../../lib/number';
import { useAtTank } from '../../../TankContext';
import { Answer, AnswerList } from './Answers';
import { CurveDrawing } from './CurveDrawing';
import { PlainCalculator } from './PlainCalculator';

const n0 = (value: number | undefined) => value ?? 0;
const percent = (share: number) => String(Math.round(share * 100));
const span = (e: { low: number; high: number }) => `${between(percent(e.low), percent(e.high))} %`;

export function AirlineCalculator() {
  return (
    <PlainCalculator
      name="airline"
      example="Example: six metres of half-inch hose on a skimmer that draws 550 L/h freely."
      asked={[
        { key: 'freeDrawLPerH', label: 'Air draw without hose', unit: 'L/h', start: '550' },
        { key: 'lengthM', label: 'Length of the hose', as: 'length', start: '6' },
        { key: 'boreMm', label: 'Inner diameter', as: 'bore', start: '12.7' },
        {
          key: 'bends',
          label: 'Bends of 90°',
          start: '',
          optional: true,
          hint: 'Empty: two (assumed). Both ends and a rain cap are included.',
        },
        {
          key: 'filter',
          label: 'Filter at the inlet',
          start: 'no',
          options: [
            { value: 'no', label: 'none' },
            { value: 'yes', label: 'yes' },
          ],
        },
        {
          key: 'suctionPa',
          label: 'Suction at no flow',
          unit: 'Pa',
          start: '',
          optional: true,
          hint: 'Empty: 500 to 2500, 1000 likely (assumed).',
        },
        {
          key: 'leakMm',
          label: 'Other inlet left open, diameter',
          as: 'bore',
          start: '',
          optional: true,
          hint: 'Empty: all plugged.',
        },
        {
          key: 'measuredLPerH',
          label: 'Measured air draw with hose',
          unit: 'L/h',
          start: '',
          optional: true,
          field: 'drawnLPerH',
          hint: 'Hold a bag of known volume over the far end. Air draw in L/h is 3600 × litres ÷ seconds until empty.',
        },
      ]}
      ask={(n, text) =>
        bodyOf(
          api.POST('/api/v1/calculators/airline', {
            body: {
              freeDrawLPerH: n0(n.freeDrawLPerH),
              lengthM: n0(n.lengthM),
              boreMm: n0(n.boreMm),
              bends: n.bends,
              filter: text.filter === 'yes',
              suctionPa: n.suctionPa,
              leakMm: n.leakMm,
              measuredLPerH: n.measuredLPerH,
            },
          }),
        )
      }
      answers={(a, n, units) => {
        const length = measure('length', units);
        return (
          <>
            <AnswerList>
              <Answer
                label="of the air draw kept"
                value={
                  a.keptShare.high - a.keptShare.low > 0.01
                    ? span(a.keptShare)
                    : percent(a.keptShare.value)
                }
                large
              />
              <Answer label="drawn" value={a.drawnLPerH.toFixed(0)} unit="L/h" />
              <Answer label="through the hose" value={percent(a.fromLineShare)} />
              <Answer label="pressure loss in the hose" value={a.dropPa.toFixed(0)} unit="Pa" />
              <Answer
                label="smallest common inner diameter that keeps 95 %"
                {...shown(a.boreKeeping95Mm, 'bore', units)}
              />
            </AnswerList>
            {a.likeMetresMore !== undefined && (
              <p className="mt-3">
                {a.likeMetresMore < 1
                  ? 'The measured draw matches this hose. Nothing blocks it.'
                  : `The measured draw matches a hose ${show(Math.round(a.likeMetresMore), 'length', units)} longer. Check for a kink, water in a sag, a clogged inlet or filter. Or the skimmer has less suction than assumed.`}
              </p>
            )}
            <CurveDrawing
              points={a.curve.map((p) => ({ x: length.from(p.lengthM), y: 100 * p.keptShare }))}
              at={{ x: length.from(n0(n.lengthM)), y: 100 * a.keptShare.value }}
              x={`length, ${length.label}`}
              y="kept, %"
              top={100}
            />
          </>
        );
      }}
      source="Darcy & Weisbach with the friction law of Churchill 1977, against a suction that falls with the flow, p0 (1 − Q/Q0). A leak is a sharp orifice (ISO 5167). Before drilling, check for cables, pipes, gas and structure, and ask your landlord. Local codes apply. Try a loose hose for a day first."
    />
  );
}

/** As the server assumes it where no home has a tariff. From memory. */
const ASSUMED_EUROS_PER_KWH = 0.35;

export function AirPumpCalculator() {
  const { tank } = useAtTank();
  const home = (useHomes().data ?? []).find((h) => h.id === tank.homeId)?.description;
  const tariff = home?.tariffPerKWh;
  return (
    <PlainCalculator
      name="airpump"
      example="Example: a small pump on a stone 40 cm deep, and a claim to check."
      asked={[
        { key: 'freeLPerH', label: 'Air flow at no depth', unit: 'L/h', start: '300' },
        { key: 'watts', label: 'Power', unit: 'W', start: '4' },
        {
          key: 'stallKPa',
          label: 'Pressure at no flow',
          unit: 'kPa',
          start: '',
          optional: true,
          hint: 'Empty: 25 (assumed). 10 kPa are a metre or 3.3 ft of water.',
        },
        { key: 'depthM', label: 'Depth of the stone', as: 'length', start: '0.4' },
        { key: 'tubeLengthM', label: 'Tube', as: 'length', start: '2', field: 'lengthM' },
        { key: 'tubeBoreMm', label: 'Inner diameter', as: 'bore', start: '4', field: 'boreMm' },
        {
          key: 'oneWayValve',
          label: 'One-way valve',
          start: 'yes',
          options: [
            { value: 'yes', label: 'in the tube' },
            { value: 'no', label: 'none' },
          ],
        },
        {
          key: 'claimedLPerH',
          label: 'Claimed flow at that depth',
          unit: 'L/h',
          start: '',
          optional: true,
          hint: 'We check this against physics.',
        },
        {
          key: 'tariffPerKWh',
          label: 'Price of a kWh',
          unit: tank.currency,
          start: '',
          optional: true,
          hint:
            tariff === undefined
              ? `Empty: ${ASSUMED_EUROS_PER_KWH} euros (assumed).`
              : `Empty: ${tariff}, as at home.`,
        },
        { key: 'tankL', label: 'Tank', as: 'volume', start: '420', optional: true },
      ]}
      ask={(n, text) =>
        bodyOf(
          api.POST('/api/v1/calculators/airpump', {
            body: {
              freeLPerH: n0(n.freeLPerH),
              watts: n0(n.watts),
              stallKPa: n.stallKPa,
              depthM: n0(n.depthM),
              tubeLengthM: n0(n.tubeLengthM),
              tubeBoreMm: n0(n.tubeBoreMm),
              oneWayValve: text.oneWayValve === 'yes',
              claimedLPerH: n.claimedLPerH,
              tariffPerKWh:
                n.tariffPerKWh ?? tariff ?? ASSUMED_EUROS_PER_KWH * (home?.perEuro ?? 1),
              tankL: n.tankL,
            },
          }),
        )
      }
      answers={(a, n, units) => {
        const length = measure('length', units);
        return (
          <>
            <AnswerList>
              <Answer
                label="arrives at the stone"
                value={a.deliveredLPerH.toFixed(0)}
                unit="L/h"
                large
              />
              <Answer label="back pressure" value={a.loadKPa.toFixed(1)} unit="kPa" />
              <Answer label="minimum power for that" value={a.idealW.toFixed(2)} unit="W" />
              {a.claimPossible !== undefined && a.claimIdealW !== undefined && (
                <Answer
                  label={`the claim needs at least ${a.claimIdealW.toFixed(1)} W`}
                  value={a.claimPossible ? 'possible' : '✕ impossible'}
                />
              )}
              {a.firstSizeLPerH !== undefined && (
                <Answer
                  label="one tank volume an hour, a first size"
                  value={a.firstSizeLPerH.toFixed(0)}
                  unit="L/h"
                />
              )}
              <Answer label="a year" value={a.kWhPerYear.toFixed(0)} unit="kWh" />
              <Answer label="costs" value={money(a.costPerYear, tank.currency)} unit="a year" />
            </AnswerList>
            <CurveDrawing
              points={a.curve.map((p) => ({ x: length.from(p.depthM), y: p.deliveredLPerH }))}
              at={{ x: length.from(n0(n.depthM)), y: a.deliveredLPerH }}
              x={`depth, ${length.label}`}
              y="air, L/h"
              top={n0(n.freeLPerH)}
            />
          </>
        );
      }}
      source="Flow falls in a straight line to the pressure at no flow. Water 10 kPa a metre, valve 1 and stone 2 kPa (from memory). Minimum power: isothermal compression, p0 Q ln(p/p0). One tank volume an hour is common practice. Place the pump above the water: one-way valves fail."
    />
  );
}

export function BubblesCalculator() {
  return (
    <PlainCalculator
      name="bubbles"
      example="Example: 100 L/h of 2 mm bubbles from half a metre."
      asked={[
        { key: 'airLPerH', label: 'Air', unit: 'L/h', start: '100' },
        { key: 'diameterMm', label: 'Bubbles', unit: 'mm', start: '2' },
        { key: 'depthM', label: 'Depth of the stone', as: 'length', start: '0.5' },
        { key: 'temperatureC', label: 'Temperature', as: 'temperature', start: '25.5' },
        { key: 'salinity', label: 'Salinity', as: 'salinity', start: '35' },
      ]}
      ask={(n) =>
        bodyOf(
          api.POST('/api/v1/calculators/bubbles', {
            body: {
              airLPerH: n0(n.airLPerH),
              diameterMm: n0(n.diameterMm),
              depthM: n0(n.depthM),
              temperatureC: n0(n.temperatureC),
              salinity: n0(n.salinity),
            },
          }),
        )
      }
      answers={(a) => (
        <AnswerList>
          <Answer
            label="adds oxygen like a rolling surface of"
            value={between(a.rigid.asRollingM2.toFixed(1), a.mobile.asRollingM2.toFixed(1))}
            unit="m²"
            large
          />
          <Answer
            label="or like a rippled surface of"
            value={between(a.rigid.asRippledM2.toFixed(1), a.mobile.asRippledM2.toFixed(1))}
            unit="m²"
          />
          <Answer
            label="share of the air’s oxygen that dissolves"
            value={span({ low: a.rigid.oxygenOfAirLimit, high: a.mobile.oxygenOfAirLimit })}
          />
          <Answer
            label="CO2 saturation on the way up"
            value={span({ low: a.rigid.co2OfAirLimit, high: a.mobile.co2OfAirLimit })}
          />
          <Answer
            label="rise speed"
            value={between(a.rigid.riseCmPerS.toFixed(0), a.mobile.riseCmPerS.toFixed(0))}
            unit="cm/s"
          />
          <Answer label="bubble area in the water" value={a.rigid.areaM2.toFixed(2)} unit="m²" />
        </AnswerList>
      )}
      source="Rise: Clift, Grace & Weber 1978. Transfer: Frössling 1938 for a skin held still by organics, Higbie 1935 for a clean one. Real tanks lie in between, closer to the first, which we use for safety. Air flow limits CO2, bubble skin limits oxygen."
    />
  );
}

export function RoomCalculator() {
  return (
    <PlainCalculator
      name="room"
      example="Example: two adults and a child asleep in a sealed home of 180 m³."
      asked={[
        {
          key: 'volumeM3',
          label: 'Air in the room',
          as: 'room',
          start: '180',
          field: 'roomVolumeM3',
        },
        { key: 'adults', label: 'Adults', start: '2' },
        { key: 'children', label: 'Children', start: '1' },
        { key: 'pets', label: 'Pets', start: '0' },
        {
          key: 'airChangesPerH',
          label: 'Air changes an hour',
          start: '0.18',
          optional: true,
          hint: 'Empty: 0.15 to 0.5, assumed. Sealed 0.1–0.2, ordinary 0.3–0.5, window open 2–5 (from memory).',
        },
        {
          key: 'outdoorPpm',
          label: 'Outdoors',
          unit: 'ppm',
          start: '',
          optional: true,
          hint: 'Empty: 420.',
        },
        {
          key: 'firstPpm',
          label: 'Or from a decay with nobody home: first CO2',
          unit: 'ppm',
          start: '',
          optional: true,
        },
        { key: 'laterPpm', label: 'later', unit: 'ppm', start: '', optional: true },
        { key: 'hours', label: 'after', unit: 'h', start: '', optional: true },
      ]}
      ask={(n) =>
        bodyOf(
          api.POST('/api/v1/calculators/room', {
            body: {
              volumeM3: n0(n.volumeM3),
              adults: Math.trunc(n0(n.adults)),
              children: Math.trunc(n0(n.children)),
              pets: Math.trunc(n0(n.pets)),
              airChangesPerH: n.airChangesPerH,
              outdoorPpm: n.outdoorPpm,
              firstPpm: n.firstPpm,
              laterPpm: n.laterPpm,
              hours: n.hours,
            },
          }),
        )
      }
      answers={(a) => (
        <>
          <AnswerList>
            <Answer
              label="settles at (asleep–awake)"
              value={range(a.shutPpm, 0)}
              unit="ppm"
              large
            />
            <Answer
              label={a.fromDecay ? 'air changes, from the decay' : 'air changes'}
              value={`${a.airChangesPerH.value.toFixed(2)} (${range(a.airChangesPerH, 2)})`}
              unit="an hour"
            />
            <Answer
              label="settles at (asleep and awake)"
              value={`${a.asleepPpm.toFixed(0)} and ${a.awakePpm.toFixed(0)}`}
              unit="ppm"
            />
            <Answer label="63 % of a change after" value={a.timeConstantH.toFixed(1)} unit="h" />
            <Answer
              label="from outdoor air to 1500 ppm, asleep"
              value={a.hoursTo1500Ppm === undefined ? 'never' : a.hoursTo1500Ppm.toFixed(1)}
              unit={a.hoursTo1500Ppm === undefined ? '' : 'h'}
            />
            <Answer
              label="outdoor air needed for 1000 ppm, awake"
              value={
                a.ventilationM3PerHFor1000Ppm === undefined
                  ? 'none: outdoors is no better'
                  : a.ventilationM3PerHFor1000Ppm.toFixed(0)
              }
              unit={a.ventilationM3PerHFor1000Ppm === undefined ? '' : 'm³/h'}
            />
          </AnswerList>
          {a.asleepPpm > 1500 && (
            <p className="mt-3 border-l-4 border-danger pl-3">
              ✕ Ventilate for the people first: 1500 ppm or more is bad for them.
            </p>
          )}
        </>
      )}
      source="Steady state: ASTM D6245. Decay: ASTM E741. Respiration of adults: Persily & de Jonge 2017; children and pets from memory."
    />
  );
}
