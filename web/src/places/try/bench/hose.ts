import type { Bench } from '../../../api/types';

const percent = (share: number) => `${Math.round(share * 100)} %`;

/** The hose as it stands: what it leaves of the draw, and what is breathed through it. */
export function hoseInWords(hose: NonNullable<Bench['hose']>): string {
  const kept = `With the hose, the skimmer keeps ${percent(hose.keptShare)} of its air draw (${
    hose.drawMeasured ? 'measured' : 'estimated from length and diameter'
  })`;
  const share = `${percent(hose.outdoorShare)} of its air`;
  return hose.shareMeasured
    ? `${kept}. By the CO2 at the intake, ${share} comes from outdoors.`
    : `${kept}. CO2 at the intake was not measured: we assume ${share} is outdoor air.`;
}
