import type { Bench } from '../../../api/types';

const percent = (share: number) => `${Math.round(share * 100)} %`;

/** The hose as it stands: what it leaves of the draw, and what is breathed through it. */
export function hoseInWords(hose: NonNullable<Bench['hose']>): string {
  const kept = `With its hose on, the skimmer keeps ${percent(hose.keptShare)} of its draw (${
    hose.drawMeasured ? 'measured' : 'estimated from length and diameter'
  })`;
  const share = `${percent(hose.outdoorShare)} of what it breathes`;
  return hose.shareMeasured
    ? `${kept}; ${share} comes from outdoors, as CO2 at its intake says.`
    : `${kept}; ${share} is taken for outdoor air until the log says otherwise: CO2 at the intake was not measured.`;
}
