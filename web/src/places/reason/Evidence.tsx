import { Link } from '@tanstack/react-router';
import type { InputName, InputUse, Staircase, Units } from '../../api/types';
import { age } from '../../lib/time';
import { plain } from '../../lib/number';
import {
  ALKALINITY,
  alkalinityFromMeq,
  METHOD,
  showAlkalinity,
  showTemperature,
} from '../../lib/units';
import { Mark, markOf } from '../../parts/Mark';
import { buttonLook } from '../../parts/Button';
import { useAtTank } from '../../TankContext';
import { INPUT_NAMES } from './inputNames';

/** What the staircase rests on: each input with its error, age and method, and what is missing. */
export function Evidence({ staircase }: { staircase: Staircase }) {
  const { tank, units } = useAtTank();
  return (
    <>
      <h2 id="evidence" className="pb-2 text-xl font-bold">
        What this is based on
      </h2>
      <ul>
        {staircase.inputs.map((input) => (
          <li key={input.name} className="border-b py-2">
            <div className="flex justify-between gap-4">
              <span className="flex items-center gap-2">
                <Mark kind={markOf(input.method)} /> {INPUT_NAMES[input.name]}
              </span>
              <span className="text-right font-semibold">{show(input, units)}</span>
            </div>
            <div className="flex justify-between gap-4 text-sm text-soft">
              <span>
                {input.method && input.ageHours !== undefined
                  ? `${METHOD[input.method]}, ${age(input.ageHours)}${input.readings > 1 ? `, mean of ${input.readings}` : ''}`
                  : 'assumed'}
                {' · '}
                {error(input, units)}
              </span>
              {!input.method && (
                <Link
                  to="/tank/$tankId/add-to-log"
                  params={{ tankId: tank.id }}
                  search={{ measure: input.name }}
                  className={`${buttonLook('quiet')} -my-2 shrink-0`}
                >
                  Measure
                </Link>
              )}
            </div>
          </li>
        ))}
        {staircase.missing.map((name) => (
          <li key={name} className="flex justify-between gap-4 border-b py-2">
            <span>
              {INPUT_NAMES[name]}: <strong>missing</strong>
            </span>
            <Link
              to="/tank/$tankId/add-to-log"
              params={{ tankId: tank.id }}
              search={{ measure: name }}
              className={`${buttonLook('quiet')} -my-2`}
            >
              Measure
            </Link>
          </li>
        ))}
      </ul>
      <p className="pt-2 text-sm text-soft">
        Errors and defaults are assumed. Enter your own in{' '}
        <Link
          to="/tank/$tankId/description"
          params={{ tankId: tank.id }}
          className="underline underline-offset-4"
        >
          {tank.description.name}’s description
        </Link>
        .
      </p>
    </>
  );
}

const SHOW: Record<InputName, (value: number, units: Units) => string> = {
  PH: (v) => `pH ${v.toFixed(2)}`,
  ALKALINITY: (v, units) => showAlkalinity(v, units.alkalinity),
  TEMPERATURE: (v, units) => showTemperature(v, units.temperature),
  SALINITY: (v) => `S ${v.toFixed(1)}`,
  ROOM_CO2: (v) => `${Math.round(v)} ppm`,
  OUTDOOR_CO2: (v) => `${Math.round(v)} ppm`,
};

const show = (input: InputUse, units: Units) => SHOW[input.name](input.value, units);

function error({ name, error }: InputUse, units: Units): string {
  if (name === 'ALKALINITY')
    return `± ${plain(alkalinityFromMeq(error, units.alkalinity), 2)} ${ALKALINITY[units.alkalinity].label}`;
  if (name === 'TEMPERATURE')
    return units.temperature === 'CELSIUS'
      ? `± ${plain(error, 1)} °C`
      : `± ${plain(error * 1.8, 1)} °F`;
  if (name === 'PH') return `± ${plain(error, 2)}`;
  return name === 'SALINITY' ? `± ${plain(error, 1)}` : `± ${plain(error, 0)} ppm`;
}
