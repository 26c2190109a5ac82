import type { MeasureKind, Parameter, PutMeasure, Units } from '../../../api/types';
import { show, type Measure } from '../../../lib/measure';
import { plain } from '../../../lib/number';
import { alkalinityToMeq, showAlkalinity } from '../../../lib/units';

const KEPT_IN: Partial<Record<Parameter['unit'], Measure>> = {
  METRES: 'length',
  MILLIMETRES: 'bore',
  KILOGRAMS: 'mass',
  KELVIN: 'warmth',
  LITRES_PER_H: 'flow',
};

const BEHIND: Partial<Record<Parameter['unit'], string>> = {
  BUBBLE_MILLIMETRES: ' mm',
  CUBIC_METRES_PER_H: ' m³/h',
  ML_PER_DAY: ' mL',
  MMOL_PER_H: ' mmol/h',
  PPM: ' ppm',
  HOUR: ':00',
};

/** A change is shown with its sign; a figure that never goes below nothing is not. */
const signed = (parameter: Parameter, value: number) => (parameter.min < 0 && value > 0 ? '+' : '');

/** A number of a measure in its keeper's units. */
export function shownAs(parameter: Parameter, value: number, units: Units): string {
  const kind = KEPT_IN[parameter.unit];
  if (kind) return signed(parameter, value) + show(value, kind, units);
  switch (parameter.unit) {
    case 'TIMES':
      return `× ${value}`;
    case 'SHARE':
      return `${Math.round(value * 100)} %`;
    case 'PH':
      return value.toFixed(2);
    case 'DKH':
      return (
        signed(parameter, value) + showAlkalinity(alkalinityToMeq(value, 'DKH'), units.alkalinity)
      );
    default:
      return `${plain(value, 2)}${BEHIND[parameter.unit] ?? ''}`;
  }
}

const numberOf = (put: PutMeasure, parameter: Parameter) =>
  put.numbers?.[parameter.name] ?? parameter.number ?? 0;

const choiceOf = (put: PutMeasure, parameter: Parameter) =>
  put.choices?.[parameter.name] ?? parameter.choice ?? '';

/** As a screen draws it: a slide, or one of several. */
export type Knob =
  | { kind: 'slide'; parameter: Parameter; value: number; shown: string }
  | {
      kind: 'choose';
      parameter: Parameter;
      value: string;
      options: { value: string; label: string }[];
    };

function choosing(put: PutMeasure, parameter: Parameter, units: Units): Knob {
  if (parameter.number === undefined) {
    return {
      kind: 'choose',
      parameter,
      value: choiceOf(put, parameter),
      options: parameter.options,
    };
  }
  const value = numberOf(put, parameter);
  const sizes = parameter.options.map((option) => Number(option.value));
  return {
    kind: 'choose',
    parameter,
    value: String(value),
    // A size from a link that is none of the usual ones stays one of them.
    options: (sizes.includes(value) ? sizes : [...sizes, value].sort((a, b) => a - b)).map(
      (size) => ({ value: String(size), label: shownAs(parameter, size, units) }),
    ),
  };
}

/** What can be turned on a measure that is on; what has no meaning as it stands is left out. */
export function knobs(measure: MeasureKind, put: PutMeasure, units: Units): Knob[] {
  return measure.parameters
    .filter(({ shownWith }) => {
      const other = measure.parameters.find((p) => p.name === shownWith?.value);
      return !other || choiceOf(put, other) === shownWith?.label;
    })
    .map((parameter) =>
      parameter.options.length > 0
        ? choosing(put, parameter, units)
        : {
            kind: 'slide' as const,
            parameter,
            value: numberOf(put, parameter),
            shown: shownAs(parameter, numberOf(put, parameter), units),
          },
    );
}

/** The measure with one setting turned. */
export function turned(put: PutMeasure, parameter: Parameter, to: number | string): PutMeasure {
  return parameter.number === undefined
    ? { ...put, choices: { ...put.choices, [parameter.name]: String(to) } }
    : { ...put, numbers: { ...put.numbers, [parameter.name]: Number(to) } };
}

/** Put on, beside the others; of its group it takes the place. */
export function withMeasure(
  measures: readonly MeasureKind[],
  puts: readonly PutMeasure[],
  added: PutMeasure,
): PutMeasure[] {
  const group = measures.find((m) => m.kind === added.kind)?.group;
  const stays = (put: PutMeasure) =>
    put.kind === added.kind ||
    group === undefined ||
    measures.find((m) => m.kind === put.kind)?.group !== group;
  return puts.some((put) => put.kind === added.kind)
    ? puts.map((put) => (put.kind === added.kind ? added : put))
    : [...puts.filter(stays), added];
}

export const withoutMeasure = (puts: readonly PutMeasure[], kind: string): PutMeasure[] =>
  puts.filter((put) => put.kind !== kind);

/** A measure in a few words: what it is, and what of its settings tells. */
function described(measure: MeasureKind, put: PutMeasure, units: Units): string {
  const tells = measure.parameters
    .filter((parameter) => parameter.tells)
    .map((parameter) =>
      parameter.number === undefined
        ? parameter.options.find((option) => option.value === choiceOf(put, parameter))?.label
        : shownAs(parameter, numberOf(put, parameter), units),
    );
  return tells.length > 0 ? `${measure.shortName} (${tells.join(', ')})` : measure.shortName;
}

/** A set in a few words, in the registry's order. */
export function inWords(
  measures: readonly MeasureKind[],
  puts: readonly PutMeasure[],
  units: Units,
): string {
  const words = measures.flatMap((measure) => {
    const put = puts.find((p) => p.kind === measure.kind);
    return put ? [described(measure, put, units)] : [];
  });
  return words.join(', ') || 'current setup';
}
