import type { Amount, ByHand, ChangeSum, Creep, DoseByHand, Parted, Units } from '../../api/types';
import { show } from '../../lib/measure';
import { plain } from '../../lib/number';
import { ALKALINITY, alkalinityFromMeq, showAlkalinity } from '../../lib/units';
import { SOLUTES } from './doseWords';

const lifts = (meqPerL: number, calciumMgPerL: number, units: Units) => {
  const { label, digits } = ALKALINITY[units.alkalinity];
  return [
    meqPerL > 0
      ? `alkalinity by ${alkalinityFromMeq(meqPerL, units.alkalinity).toFixed(digits + 1)} ${label}`
      : '',
    calciumMgPerL > 0 ? `calcium by ${calciumMgPerL.toFixed(1)} mg/L` : '',
  ]
    .filter(Boolean)
    .join(' and ');
};

/** So much of what is put in, as it was measured out. */
const portion = (amount: Amount, parts: number) =>
  amount.grams !== undefined
    ? `${plain(amount.grams / parts, 1)} g`
    : `${plain((amount.ml ?? 0) / parts, 0)} mL`;

/** What an addition would do, sentence by sentence; what speaks against it last, with the way out. */
export function additionWords(sum: Parted, amount: Amount, units: Units): string[] {
  const moves =
    sum.meqPerL > 0
      ? `, and pH from ${sum.phBefore.toFixed(2)} to ${sum.phMixed.toFixed(2)} once it is mixed in, at the day’s highest`
      : '';
  const parts = sum.days * sum.portionsPerDay;
  const each = portion(amount, parts);
  const days = sum.days === 1 ? 'in one day' : `over ${sum.days} days`;
  return [
    `This raises ${lifts(sum.meqPerL, sum.calciumMgPerL, units)}${moves}.`,
    ...sum.because,
    ...(parts > 1
      ? [
          `Dose ${each} at a time, ${sum.portionsPerDay === 1 ? 'once a day' : `${sum.portionsPerDay} times a day, ${Math.floor(24 / sum.portionsPerDay)} h apart`}, ${days}.`,
        ]
      : []),
  ];
}

/** What new water would do. */
export function changeWords(sum: ChangeSum, units: Units): string[] {
  const { label, digits } = ALKALINITY[units.alkalinity];
  const [before, after] = [sum.meqBefore, sum.meqAfter].map((meq) =>
    alkalinityFromMeq(meq, units.alkalinity).toFixed(digits + 1),
  );
  const calcium =
    sum.calciumBefore !== undefined && sum.calciumAfter !== undefined
      ? `, calcium from ${sum.calciumBefore.toFixed(0)} to ${sum.calciumAfter.toFixed(0)} mg/L`
      : '';
  return [
    `${Math.round(100 * sum.share)} % of the water: alkalinity goes from ${before} to ${after} ${label}${calcium}.`,
    ...sum.because,
    ...(sum.because.length > 0
      ? [`That is ${show(sum.mostLitres, 'volume', units)} at a time.`]
      : []),
  ];
}

/** One line of what was put in. */
export function putIn(dose: DoseByHand, units: Units): string {
  if (dose.put === 'TOP_OFF')
    return `${show(dose.litres ?? 0, 'volume', units)} of fresh water (RO) for evaporation`;
  if (dose.what === undefined)
    return `${show(dose.litres ?? 0, 'volume', units)} of new water (${Math.round(100 * dose.share)} %) at ${showAlkalinity(dose.meqPerL, units.alkalinity)}`;
  const much =
    dose.grams !== undefined
      ? `${plain(dose.grams, 1)} g of ${SOLUTES[dose.what]}${dose.share < 0.995 ? ` (${Math.round(100 * dose.share)} % pure)` : ''}`
      : `${plain(dose.ml ?? 0, 0)} mL of ${SOLUTES[dose.what]}`;
  return `${much}: ${lifts(dose.meqPerL, dose.calciumMgPerL, units)}`;
}

/** What evaporates, where it was measured; else what would measure it. */
export const evaporates = (of: ByHand['evaporated'], units: Units) =>
  of
    ? `About ${show(of.litresPerDay, 'volume', units)} evaporate a day, from ${of.times} top-offs in four weeks, limewater included.`
    : 'Fill to the same mark each time. After three top-offs over five days we know what evaporates, and how much limewater fits in a day.';

/** Whether the water that is changed takes away what stays behind of the doses; nothing where nothing stays. */
export function keepsUp(creep: Creep, weeklyShare: number): string | undefined {
  const asked = Math.max(creep.weeklyForPotassium, creep.weeklyForSalt);
  if (asked < 0.005) return undefined;
  const changed = `You changed ${(100 * weeklyShare).toFixed(1)} % of the water a week in the last four weeks`;
  return weeklyShare >= asked ? `${changed}: enough.` : `${changed}. That is too little.`;
}
