import { capital } from './capital';

/** A field that the server refuses, as its problem documents name it. */
export interface FieldProblem {
  field: string;
  value?: string;
  allowed?: string;
  message: string;
}

/** Where the server's own name says little to a person. */
const NAMES: Record<string, string> = {
  actBelow: 'action level',
  airLPerH: 'air',
  at: 'time',
  backupAirLPerH: 'air',
  bubbleMm: 'bubble size',
  drawnLPerH: 'air draw',
  freshShare: 'fresh air share',
  fedWithinHours: 'hours since the last meal',
  loadW: 'power',
  meqPerL: 'alkalinity',
  ml: 'amount',
  mlPerDay: 'amount a day',
  motorW: 'largest pump',
  movedM2: 'moved surface',
  overH: 'hours',
  peakAtMost: 'highest pH of the goal range',
  perEuro: 'money for a euro',
  perUse: 'amount for each use',
  ratedW: 'rated power',
  solute: 'what the line doses',
  stuck: 'what stops a stuck pump',
  siphon: 'what prevents a siphon',
  surgeW: 'peak power',
  tariffPerKWh: 'price of electricity',
  troughAtLeast: 'lowest pH of the goal range',
  upsMinutes: 'minutes of the UPS',
  upsRatedMinutes: 'minutes of the UPS',
  upsRatedW: 'power of the UPS',
  upsW: 'power of the UPS',
  vesselMl: 'vessel',
  wattHours: 'watt-hours',
};

/** Units at the end of a name: the label says them already. */
const UNIT =
  /(?:MmolPerLPerH|MmolPerH|MeqPerLPerDay|MeqPerL|MgPerLPerH|MgPerL|DkhPerDay|LPerKg|LPerH|MPerS|PpmPerH|PerKWh|PerDay|PerH|PhNbs|Ppm|Dkh|Psu|Hpa|Kpa|Pa|Wh|Ah|Cm2|M2|Cm|Mm|Ml|Kg|Hours|Days|Years|Ph|[LHCKWAMGSV])$/;

function nameOf(field: string): string {
  const known = NAMES[field];
  if (known) return known;
  const bare = field.replace(UNIT, '') || field;
  return bare.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`).trim();
}

const grouped = (number: string) => {
  const value = Number(number);
  const digits =
    Number.isInteger(value) && Math.abs(value) >= 10_000 ? value.toLocaleString('en-US') : number;
  return digits.replace('-', '−');
};

const range = (allowed: string) =>
  allowed.replace(
    /^(-?[\d.]+) to (-?[\d.]+)/,
    (_, low: string, high: string) =>
      `${grouped(low)}${low.startsWith('-') ? ' to ' : '–'}${grouped(high)}`,
  );

/** The server names fields as its API does; people read labels. */
export function spoken({ field, value, allowed, message }: FieldProblem): string {
  const last =
    field
      .replace(/\[\d+\]/g, '')
      .split('.')
      .at(-1) ?? field;
  const prefix = [field, last].find((name) => name !== '' && message.startsWith(`${name} `));
  if (prefix === undefined) return message;
  const subject = capital(nameOf(last));
  const rest = message.slice(prefix.length + 1);
  if (allowed === undefined || !rest.includes('. Allowed: ')) return `${subject} ${rest}`;
  const entered = value !== undefined && value !== 'NaN' ? ` You entered ${plain(value)}.` : '';
  return `${subject} must be ${range(allowed)}.${entered}`;
}

const plain = (value: string) =>
  Number.isNaN(Number(value)) ? value : grouped(String(Number(value)));
