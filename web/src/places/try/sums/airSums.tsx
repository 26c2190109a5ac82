import { api, bodyOf } from '../../../api/client';
import { useHomes } from '../../../api/homes';
import { measure, show, shown } from '../../../lib/measure';
import { money } from '../../../lib/money';
import { range } from '../../../lib/number';
import { useAtTank } from '../../../TankContext';
import { Answer, AnswerList } from './Answers';
import { CurveDrawing } from './CurveDrawing';
import { PlainSum } from './PlainSum';

const n0 = (value: number | undefined) => value ?? 0;
const percent = (share: number) => `${Math.round(share * 100)} %`;
const span = (e: { low: number; high: number }) => `${percent(e.low)} to ${percent(e.high)}`;

export function AirlineSum() {
  return (
    <PlainSum
      name="airline"
      example="Worked example: six metres of half-inch hose on a skimmer that draws 550 L/h freely."
      asked={[
        { key: 'freeDrawLPerH', label: 'The skimmer draws freely', unit: 'L/h', start: '550' },
        { key: 'lengthM', label: 'Length of the hose', as: 'length', start: '6' },
        { key: 'boreMm', label: 'Inner diameter', as: 'bore', start: '12.7' },
        {
          key: 'bends',
          label: 'Bends of 90°',
          start: '',
          optional: true,
          hint: 'Empty: two (assumed). Both ends and a rain cap are counted in.',
        },
        {
          key: 'filter',
          label: 'Filter at its mouth',
          start: 'no',
          options: [
            { value: 'no', label: 'none' },
            { value: 'yes', label: 'yes' },
          ],
        },
        {
          key: 'suctionPa',
          label: 'What it sucks at no flow',
          unit: 'Pa',
          start: '',
          optional: true,
          hint: 'Empty: 500 to 2500, 1000 likely (assumed).',
        },
        {
          key: 'leakMm',
          label: 'Another inlet left open, wide',
          as: 'bore',
          start: '',
          optional: true,
          hint: 'Empty: all plugged.',
        },
        {
          key: 'measuredLPerH',
          label: 'It draws with the hose on, measured',
          unit: 'L/h',
          start: '',
          optional: true,
          field: 'drawnLPerH',
          hint: 'A bag of known volume over the far end: 3600 × litres ÷ seconds until it is empty.',
        },
      ]}
      ask={(n, text) =>
        bodyOf(
          api.POST('/api/v1/sums/airline', {
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
                label="of the draw is kept"
                value={
                  a.keptShare.high - a.keptShare.low > 0.01
                    ? span(a.keptShare)
                    : percent(a.keptShare.value)
                }
                large
              />
              <Answer label="drawn" value={a.drawnLPerH.toFixed(0)} unit="L/h" />
              <Answer label="of it through the hose" value={percent(a.fromLineShare)} />
              <Answer label="pressure lost in it" value={a.dropPa.toFixed(0)} unit="Pa" />
              <Answer
                label="smallest inner diameter sold that keeps 95 %"
                {...shown(a.boreKeeping95Mm, 'bore', units)}
              />
            </AnswerList>
            {a.likeMetresMore !== undefined && (
              <p className="mt-3">
                {a.likeMetresMore < 1
                  ? 'It draws as such a hose should: nothing chokes it.'
                  : `It draws as if it were ${show(Math.round(a.likeMetresMore), 'length', units)} longer: look for a kink, water in a sag, a clogged mouth or filter; or the skimmer sucks less than assumed.`}
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
      source="Darcy & Weisbach with the friction law of Churchill 1977, against a suction that falls with the flow, p0 (1 − Q/Q0). A leak is a sharp orifice (ISO 5167). Before a wall is drilled: cables, pipes, gas, structure, the landlord and the local code; try a loose hose for a day."
    />
  );
}

/** As the server assumes it where no home has a tariff. From memory. */
const ASSUMED_EUROS_PER_KWH = 0.35;

export function AirPumpSum() {
  const { tank } = useAtTank();
  const home = (useHomes().data ?? []).find((h) => h.id === tank.homeId)?.description;
  const tariff = home?.tariffPerKWh;
  return (
    <PlainSum
      name="airpump"
      example="Worked example: a small pump on a stone 40 cm deep, and a claim to judge."
      asked={[
        { key: 'freeLPerH', label: 'The pump gives at no depth', unit: 'L/h', start: '300' },
        { key: 'watts', label: 'Its power', unit: 'W', start: '4' },
        {
          key: 'stallKPa',
          label: 'It stands at',
          unit: 'kPa',
          start: '',
          optional: true,
          hint: 'Empty: 25 (assumed). 10 kPa are a metre or 3.3 ft of water.',
        },
        { key: 'depthM', label: 'The stone lies at', as: 'length', start: '0.4' },
        { key: 'tubeLengthM', label: 'Tube', as: 'length', start: '2', field: 'lengthM' },
        { key: 'tubeBoreMm', label: 'its inner diameter', as: 'bore', start: '4', field: 'boreMm' },
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
          label: 'Claimed at that depth',
          unit: 'L/h',
          start: '',
          optional: true,
          hint: 'To be judged against physics.',
        },
        {
          key: 'tariffPerKWh',
          label: 'A kWh costs',
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
          api.POST('/api/v1/sums/airpump', {
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
              <Answer label="it pushes against" value={a.loadKPa.toFixed(1)} unit="kPa" />
              <Answer label="least power for that" value={a.idealW.toFixed(2)} unit="W" />
              {a.claimPossible !== undefined && a.claimIdealW !== undefined && (
                <Answer
                  label={`the claim takes ${a.claimIdealW.toFixed(1)} W at the least`}
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
      source="Flow falls along a straight line to the pressure at which the pump stands; water 10 kPa a metre, valve 1 and stone 2 kPa (from memory). Least power: isothermal compression, p0 Q ln(p/p0); no pump does it with less. One tank volume an hour is common practice. The pump sits above the water or behind a one-way valve in the right direction: valves fail."
    />
  );
}

export function BubblesSum() {
  return (
    <PlainSum
      name="bubbles"
      example="Worked example: 100 L/h of 2 mm bubbles from half a metre."
      asked={[
        { key: 'airLPerH', label: 'Air', unit: 'L/h', start: '100' },
        { key: 'diameterMm', label: 'Bubbles', unit: 'mm', start: '2' },
        { key: 'depthM', label: 'Depth of the stone', as: 'length', start: '0.5' },
        { key: 'temperatureC', label: 'Temperature', as: 'temperature', start: '25.5' },
        { key: 'salinity', label: 'Salinity', as: 'salinity', start: '35' },
      ]}
      ask={(n) =>
        bodyOf(
          api.POST('/api/v1/sums/bubbles', {
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
            label="gives oxygen like a rolling surface of"
            value={`${a.rigid.asRollingM2.toFixed(1)} to ${a.mobile.asRollingM2.toFixed(1)}`}
            unit="m²"
            large
          />
          <Answer
            label="or like a rippled one of"
            value={`${a.rigid.asRippledM2.toFixed(1)} to ${a.mobile.asRippledM2.toFixed(1)}`}
            unit="m²"
          />
          <Answer
            label="oxygen given, of what the air holds"
            value={`${percent(a.rigid.oxygenOfAirLimit)} to ${percent(a.mobile.oxygenOfAirLimit)}`}
          />
          <Answer
            label="filled with CO2 on the way up"
            value={`${percent(a.rigid.co2OfAirLimit)} to ${percent(a.mobile.co2OfAirLimit)}`}
          />
          <Answer
            label="they rise with"
            value={`${a.rigid.riseCmPerS.toFixed(0)} to ${a.mobile.riseCmPerS.toFixed(0)}`}
            unit="cm/s"
          />
          <Answer label="skin in the water" value={a.rigid.areaM2.toFixed(2)} unit="m²" />
        </AnswerList>
      )}
      source="Rise: Clift, Grace & Weber 1978. Transfer: Frössling 1938 for a skin held still by organics, Higbie 1935 for a clean one. The truth lies between, and a tank is nearer to the first: safety holds to it. CO2 is limited by air, oxygen by the bubbles’ skin."
    />
  );
}

export function RoomSum() {
  return (
    <PlainSum
      name="room"
      example="Worked example: two adults and a child asleep in a sealed home of 180 m³."
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
          label: 'Or from a decay, nobody home: first',
          unit: 'ppm',
          start: '',
          optional: true,
        },
        { key: 'laterPpm', label: 'later', unit: 'ppm', start: '', optional: true },
        { key: 'hours', label: 'after', unit: 'h', start: '', optional: true },
      ]}
      ask={(n) =>
        bodyOf(
          api.POST('/api/v1/sums/room', {
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
              label="settles at, asleep to awake"
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
              label="at just that many, asleep and awake"
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
              label="outdoor air that keeps it at 1000 ppm, awake"
              value={
                a.ventilationM3PerHFor1000Ppm === undefined
                  ? 'none does: outdoors is no better'
                  : a.ventilationM3PerHFor1000Ppm.toFixed(0)
              }
              unit={a.ventilationM3PerHFor1000Ppm === undefined ? '' : 'm³/h'}
            />
          </AnswerList>
          {a.asleepPpm > 1500 && (
            <p className="mt-3 border-l-4 border-danger pl-3">
              ✕ From 1500 ppm on, ventilate for the people first.
            </p>
          )}
        </>
      )}
      source="Steady state: ASTM D6245. Decay: ASTM E741. Respiration of adults: Persily & de Jonge 2017; children and pets from memory."
    />
  );
}
