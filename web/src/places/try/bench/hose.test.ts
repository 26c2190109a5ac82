import { expect, it } from 'vitest';
import { hoseInWords } from './hose';

it('says what was measured, and what is only taken to be so', () => {
  expect(
    hoseInWords({ keptShare: 0.8, drawMeasured: true, outdoorShare: 0.12, shareMeasured: true }),
  ).toBe(
    'With its hose on, the skimmer keeps 80 % of its draw (measured); 12 % of what it breathes comes from outdoors, as CO2 at its intake says.',
  );
  const unmeasured = hoseInWords({
    keptShare: 0.953,
    drawMeasured: false,
    outdoorShare: 0.95,
    shareMeasured: false,
  });
  expect(unmeasured).toContain('95 % of its draw (estimated from length and diameter)');
  expect(unmeasured).toContain(
    '95 % of what it breathes is taken for outdoor air until the log says otherwise',
  );
});
