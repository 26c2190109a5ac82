import { expect, it } from 'vitest';
import { hoseInWords } from './hose';

it('says what was measured, and what is only taken to be so', () => {
  expect(
    hoseInWords({ keptShare: 0.8, drawMeasured: true, outdoorShare: 0.12, shareMeasured: true }),
  ).toBe(
    'With the hose, the skimmer keeps 80 % of its air draw (measured). By the CO2 at the intake, 12 % of its air comes from outdoors.',
  );
  const unmeasured = hoseInWords({
    keptShare: 0.953,
    drawMeasured: false,
    outdoorShare: 0.95,
    shareMeasured: false,
  });
  expect(unmeasured).toContain('95 % of its air draw (estimated from length and diameter)');
  expect(unmeasured).toContain('we assume 95 % of its air is outdoor air');
});
