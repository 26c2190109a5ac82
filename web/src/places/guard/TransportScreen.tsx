import { api, bodyOf } from '../../api/client';
import type { TransportMoment } from '../../api/types';
import { Answer, AnswerList } from '../try/calculators/Answers';
import { CurveDrawing } from '../try/calculators/CurveDrawing';
import { show, shown } from '../../lib/measure';
import { PlainCalculator } from '../try/calculators/PlainCalculator';
import { hoursDown } from './outageTime';
import { between } from '../../lib/number';

const n0 = (value: number | undefined) => value ?? 0;
/** Two sides of one figure, the smaller first; one figure where they are the same. */
const eitherWay = (a: number, b: number, digits: number) =>
  between(Math.min(a, b).toFixed(digits), Math.max(a, b).toFixed(digits));

const PASSED: Record<string, string> = {
  NOTHING: 'even in still water, with frightened fish',
  OXYGEN: 'after that, oxygen may fall below 5 mg/L',
  AMMONIA: 'after that, toxic ammonia may pass 0.05 mg/L',
  TEMPERATURE: 'after that, the water may get too cold, too warm or change too fast',
};

const OTHERS = 'Other animals';
const WARMTH = 'Temperature';
const WATER = 'The water';
const CARRIED = 'Weight and power';

const YES_NO = [
  { value: 'no', label: 'no' },
  { value: 'yes', label: 'yes' },
] as const;

/** Guard → Transport: does it stay within limits? */
export function TransportScreen() {
  return (
    <div className="grid max-w-5xl gap-6">
      <h1 className="text-xl font-bold">
        Transport
        <span className="font-normal text-soft">
          {' '}
          · oxygen, CO2, ammonia and temperature in a small closed volume
        </span>
      </h1>
      <PlainCalculator
        name="transport"
        example="Example: two small fish in 4.5 L, a battery pump, four hours and a traffic jam."
        asked={[
          { key: 'count', label: 'Animals', start: '2', field: 'fishCount' },
          {
            key: 'massG',
            label: 'Weight of one, about',
            unit: 'g',
            start: '15',
            field: 'fishMassG',
          },
          { key: 'count2', label: 'How many', start: '0', group: OTHERS },
          { key: 'massG2', label: 'Weight of one, about', unit: 'g', start: '50', group: OTHERS },
          { key: 'waterL', label: 'Water', as: 'volume', start: '4.5' },
          { key: 'headspaceL', label: 'Air above the water', as: 'volume', start: '6' },
          { key: 'oxygen', label: 'Filled with oxygen', start: 'no', options: YES_NO },
          { key: 'aerated', label: 'Aerated on the way', start: 'yes', options: YES_NO },
          { key: 'airLPerH', label: 'Air pump', unit: 'L/h', start: '120', optional: true },
          {
            key: 'depthM',
            label: 'Depth of the air stone',
            as: 'length',
            start: '0.15',
            optional: true,
            group: WATER,
          },
          { key: 'binder', label: 'Ammonia bound', start: 'no', options: YES_NO, group: WATER },
          { key: 'tripHours', label: 'Trip', unit: 'h', start: '4' },
          { key: 'delayHours', label: 'Possible delay', unit: 'h', start: '2' },
          {
            key: 'startC',
            label: 'Water at departure',
            as: 'temperature',
            start: '25',
            group: WARMTH,
          },
          {
            key: 'outsideC',
            label: 'Temperature around the container',
            as: 'temperature',
            start: '18',
            group: WARMTH,
          },
          {
            key: 'cooling',
            label: 'Container',
            start: '0.05',
            options: [
              { value: '0.05', label: 'closed cool box' },
              { value: '0.15', label: 'bucket with a lid' },
              { value: '0.25', label: 'bare bucket or bag' },
            ],
            group: WARMTH,
          },
          {
            key: 'dkh',
            label: 'Alkalinity',
            unit: 'dKH',
            start: '8',
            field: 'alkalinityMeqPerL',
            group: WATER,
          },
          { key: 'ph', label: 'pH', start: '8.1', field: 'startPhNbs', group: WATER },
          {
            key: 'fastedHours',
            label: 'Hours without food before the trip',
            unit: 'h',
            start: '24',
            group: WATER,
          },
          {
            key: 'salinity',
            label: 'Salinity',
            as: 'salinity',
            start: '35',
            field: 'salinityPsu',
            optional: true,
            group: WATER,
          },
          {
            key: 'limitKg',
            label: 'You can carry',
            as: 'mass',
            start: '',
            optional: true,
            group: CARRIED,
          },
          { key: 'heaterW', label: 'Heater', unit: 'W', start: '', optional: true, group: CARRIED },
          { key: 'pumpW', label: 'Pump', unit: 'W', start: '4', optional: true, group: CARRIED },
          {
            key: 'volts',
            label: 'Vehicle socket',
            unit: 'V',
            start: '12',
            optional: true,
            group: CARRIED,
          },
          {
            key: 'fuseA',
            label: 'Socket fuse',
            unit: 'A',
            start: '10',
            optional: true,
            group: CARRIED,
          },
          {
            key: 'inverterW',
            label: 'Inverter, rated',
            unit: 'W',
            start: '',
            optional: true,
            group: CARRIED,
          },
          {
            key: 'batteryAh',
            label: 'Vehicle battery',
            unit: 'Ah',
            start: '60',
            optional: true,
            group: CARRIED,
          },
          {
            key: 'leastC',
            label: 'Lowest safe temperature',
            as: 'temperature',
            start: '22',
            group: WARMTH,
          },
          {
            key: 'mostC',
            label: 'Highest safe temperature',
            as: 'temperature',
            start: '29',
            group: WARMTH,
          },
        ]}
        ask={(n, text) =>
          bodyOf(
            api.POST('/api/v1/calculators/transport', {
              body: {
                fish: [
                  { count: Math.trunc(n0(n.count)), massG: n0(n.massG) },
                  { count: Math.trunc(n0(n.count2)), massG: n0(n.massG2) },
                ].filter((kind) => kind.count !== 0),
                waterL: n0(n.waterL),
                headspaceL: n0(n.headspaceL),
                oxygenFilled: text.oxygen === 'yes',
                aerated: text.aerated === 'yes',
                airLPerH: n.airLPerH,
                depthM: n.depthM,
                binder: text.binder === 'yes',
                salinityPsu: n.salinity,
                weightLimitKg: n.limitKg,
                heaterW: n.heaterW,
                pumpW: n.pumpW,
                startC: n0(n.startC),
                outsideC: n0(n.outsideC),
                coolingPerH: n0(n.cooling),
                alkalinityDkh: n0(n.dkh),
                ph: n0(n.ph),
                fastedHours: n0(n.fastedHours),
                tripHours: n0(n.tripHours),
                delayHours: n0(n.delayHours),
                volts: n.volts,
                fuseA: n.fuseA,
                inverterW: n.inverterW,
                batteryAh: n.batteryAh,
                leastC: n.leastC,
                mostC: n.mostC,
              },
            }),
          )
        }
        answers={(a, n, units) => {
          const end = a.trip.moments.at(-1);
          if (!end) return null;
          return (
            <>
              <AnswerList>
                <Answer
                  large
                  label={PASSED[a.early.limit ?? 'NOTHING'] ?? ''}
                  value={
                    a.early.hoursToCaution === undefined
                      ? 'Within limits'
                      : a.trip.hoursToCaution === undefined
                        ? `Doubtful after ${hoursDown(a.early.hoursToCaution)}`
                        : `✕ After ${between(hoursDown(a.early.hoursToCaution), hoursDown(a.trip.hoursToCaution))}`
                  }
                />
                <Answer
                  label="lowest oxygen, the limit is 5"
                  value={eitherWay(a.early.lowestOxygenMgPerL, a.trip.lowestOxygenMgPerL, 1)}
                  unit="mg/L"
                />
                <Answer
                  label="most un-ionised ammonia, the limit is 0.05"
                  value={eitherWay(
                    a.trip.highestUnionisedMgPerL,
                    a.early.highestUnionisedMgPerL,
                    3,
                  )}
                  unit="mg/L"
                />
                <Answer label="oxygen on arrival" value={end.oxygenMgPerL.toFixed(1)} unit="mg/L" />
                <Answer label="pH on arrival" value={end.phNbs.toFixed(2)} />
                <Answer
                  label="temperature on arrival"
                  {...shown(end.celsius, 'temperature', units)}
                />
                <Answer label="ammonia nitrogen" value={end.ammoniaMgPerL.toFixed(2)} unit="mg/L" />
                <Answer
                  label="of it un-ionised"
                  value={end.unionisedMgPerL.toFixed(3)}
                  unit="mg/L"
                />
                <Answer
                  label="un-ionised when you open it"
                  value={a.early.openedUnionisedMgPerL.toFixed(3)}
                  unit="mg/L"
                />
                <Answer
                  label={
                    a.mostWaterL !== undefined && a.mostWaterL < (n.waterL ?? 0)
                      ? '✕ too heavy for you'
                      : 'to carry'
                  }
                  {...shown(a.trip.weightKg, 'mass', units)}
                />
              </AnswerList>
            </>
          );
        }}
        after={(a, _, units) => {
          const end = a.trip.moments.at(-1);
          const other = a.other.moments.at(-1);
          if (!end || !other) return null;
          return (
            <>
              <CurveDrawing
                points={a.trip.moments.map((m: TransportMoment) => ({
                  x: m.hours,
                  y: m.oxygenMgPerL,
                }))}
                at={{ x: end.hours, y: end.oxygenMgPerL }}
                x="hours"
                y="oxygen, mg/L"
                top={Math.max(8, ...a.trip.moments.map((m) => m.oxygenMgPerL))}
              />
              <p>
                The other way (closed or aerated) would give {other.oxygenMgPerL.toFixed(1)} mg/L of
                oxygen, pH {other.phNbs.toFixed(2)} and {other.unionisedMgPerL.toFixed(3)} mg/L of
                un-ionised ammonia. Bind ammonia before you aerate: aerating removes CO2, raises pH
                and makes ammonia toxic.
              </p>
              {a.early.openedUnionisedMgPerL > 0.05 && (
                <p className="mt-3 border-l-4 border-danger pl-3">
                  ✕ Bind ammonia before you open the container. CO2 escapes, pH jumps, and{' '}
                  {a.early.openedUnionisedMgPerL.toFixed(2)} mg/L of ammonia turns toxic.
                </p>
              )}
              <h2 className="pt-4 font-bold">More water or less weight</h2>
              <table className="w-full text-left">
                <tbody>
                  {a.water.map((w) => (
                    <tr key={w.waterL} className="border-t">
                      <td className="py-1">{show(w.waterL, 'volume', units)}</td>
                      <td>{show(w.weightKg, 'mass', units)}</td>
                      <td>
                        {w.hoursToCaution === undefined
                          ? 'within limits'
                          : `✕ ${w.hoursToCaution.toFixed(1)} h`}
                      </td>
                      <td>{w.ammoniaMgPerL.toFixed(2)} mg/L ammonia</td>
                    </tr>
                  ))}
                </tbody>
              </table>
              {a.mostWaterL !== undefined && (
                <p className="pt-3">
                  Your weight limit allows {a.mostWaterL.toFixed(1)} L of water.
                </p>
              )}
              {a.overloaded && (
                <p className="mt-3 border-l-4 border-danger pl-3">
                  ✕ Heater and pump need {a.askedW.toFixed(0)} W, more than the socket or inverter
                  can supply. The fuse would blow, so we count neither.
                </p>
              )}
              {a.engineOffH !== undefined && !a.overloaded && (
                <p className="pt-3">
                  With the engine off the vehicle’s battery lasts {hoursDown(a.engineOffH)}. After
                  that the engine may not start.
                </p>
              )}
              {a.socketW !== undefined && (
                <p className="pt-3">
                  The socket supplies at most {a.socketW.toFixed(0)} W, with a fifth in reserve. A
                  vehicle’s fuse is usually smaller than the inverter’s rating.
                </p>
              )}
              <Checklists />
            </>
          );
        }}
        source="Oxygen: Clarke & Johnston 1999 (from memory), three times rest in the first hour, then 1.5. Ammonia: 0.15 mol for each mol of oxygen, half when fasted a day. Un-ionised: Johansson & Wedborg 1980. Aeration as in Calculators, Bubbles, with a rigid skin. Shaking and cooling rates are from memory. A limit is no promise: animals that gasp override every number."
      />
    </div>
  );
}

function Checklists() {
  return (
    <div className="grid gap-6 pt-4 md:grid-cols-2">
      <section>
        <h2 className="font-bold">Pack</h2>
        <ul className="list-disc pl-5">
          <li>Shallow, wide containers with tight lids. One animal in each bag.</li>
          <li>Battery air pump, fresh cells, tube, stone, net, thermometer, ammonia binder.</li>
          <li>Tank water for mixing on arrival, towels, gloves and eye protection for corals.</li>
          <li>No food for a day before. Log the last meal.</li>
        </ul>
      </section>
      <section>
        <h2 className="font-bold">On arrival</h2>
        <ul className="list-disc pl-5">
          <li>Dim the lights. Float the closed bag first to match temperature.</li>
          <li>
            Don’t blow air into a low-pH bag: pH would jump while ammonia is high. Bind ammonia,
            then mix slowly.
          </li>
          <li>Change temperature, pH and salinity slowly. Keep the bag’s water out of the tank.</li>
          <li>Wash quarantine gear before it goes back into the display.</li>
        </ul>
      </section>
    </div>
  );
}
