import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { beforeEach, expect, it, vi } from 'vitest';
import type { Forecast, MeasureKind, PutMeasure, Units } from '../../../api/types';
import { choose } from '../../../testing/fill';
import { Measures } from './Measures';

const METRIC: Units = {
  alkalinity: 'DKH',
  temperature: 'CELSIUS',
  salinity: 'PSU',
  volume: 'LITRE',
};

const kind = (id: string, name: string, more: Partial<MeasureKind> = {}): MeasureKind => ({
  kind: id,
  name,
  shortName: id,
  fault: false,
  reversible: true,
  parameters: [],
  ...more,
});

const ALL = [
  kind('nobody', 'Nobody home'),
  kind('stone', 'Air stone', {
    parameters: [
      {
        name: 'airLPerH',
        label: 'air',
        unit: 'LITRES_PER_H',
        min: 10,
        max: 1500,
        step: 10,
        number: 100,
        options: [],
        tells: true,
      },
    ],
  }),
  kind('scrubber', 'Media before it', {
    group: 'MEDIA',
    parameters: [
      {
        name: 'hours',
        label: 'in use',
        unit: 'NONE',
        min: 0,
        max: 0,
        step: 0,
        choice: 'ALWAYS',
        options: [
          { value: 'ALWAYS', label: 'always' },
          { value: 'BELOW_PH', label: 'below a pH' },
        ],
        tells: true,
      },
      {
        name: 'gatePh',
        label: 'below',
        unit: 'PH',
        min: 7.6,
        max: 8.4,
        step: 0.05,
        number: 8.2,
        options: [],
        tells: false,
        shownWith: { value: 'hours', label: 'BELOW_PH' },
      },
    ],
  }),
  kind('recirculated-media', 'Media on the recirculating leg', { group: 'MEDIA' }),
  kind('hole', 'Hole in the wall', { reversible: false }),
  kind('guests', 'Guests', { fault: true }),
];

const gain = (low: number, high: number, toFit: number, perMonth: number) =>
  ({
    gainPh: { value: (low + high) / 2, low, high },
    cost: { toFit, perMonth, effort: 'MINUTES' },
    ways: ['REMOVES_THE_SOURCE'],
  }) as unknown as Forecast;

const GAINS = new Map([
  ['stone', gain(0.04, 0.09, 60, 0)],
  ['scrubber', gain(0.16, 0.21, 40, 19)],
  ['hole', gain(-0.01, 0.02, 10, 0)],
]);

const changed = vi.fn<(puts: PutMeasure[]) => void>();

function Shelf() {
  const [puts, setPuts] = useState<PutMeasure[]>([]);
  return (
    <Measures
      measures={ALL}
      impossible={[
        { kind: 'reactor', name: 'Second chamber', needs: 'a tank with a calcium reactor' },
      ]}
      gains={GAINS}
      puts={puts}
      units={METRIC}
      currency="EUR"
      onChange={(next) => {
        changed(next);
        setPuts(next);
      }}
    />
  );
}

beforeEach(() => {
  document.body.innerHTML = '';
  changed.mockClear();
});

it('puts a measure on as it stands at first and opens its settings', async () => {
  const user = userEvent.setup();
  render(<Shelf />);
  expect(screen.queryByLabelText('air')).toBeNull();
  await user.click(screen.getByLabelText('Air stone'));
  expect(changed).toHaveBeenLastCalledWith([{ kind: 'stone' }]);
  expect(screen.getByLabelText('air').getAttribute('aria-valuetext')).toBe('100 L/h');
  await user.click(screen.getByLabelText('Air stone'));
  expect(changed).toHaveBeenLastCalledWith([]);
  expect(screen.queryByLabelText('air')).toBeNull();
});

it('shows a setting only where it has a meaning', async () => {
  const user = userEvent.setup();
  render(<Shelf />);
  await user.click(screen.getByLabelText('Media before it'));
  expect(screen.queryByLabelText('below')).toBeNull();
  choose('in use', 'BELOW_PH');
  expect(changed).toHaveBeenLastCalledWith([{ kind: 'scrubber', choices: { hours: 'BELOW_PH' } }]);
  expect(screen.getByLabelText('below').getAttribute('aria-valuetext')).toBe('8.20');
});

it('keeps one of a group on', async () => {
  const user = userEvent.setup();
  render(<Shelf />);
  await user.click(screen.getByLabelText('Media before it'));
  await user.click(screen.getByLabelText('Nobody home'));
  await user.click(screen.getByLabelText('Media on the recirculating leg'));
  expect(changed.mock.lastCall?.[0].map((p) => p.kind)).toEqual(['nobody', 'recirculated-media']);
  expect(screen.getByLabelText<HTMLInputElement>('Media before it').checked).toBe(false);
});

it('lists every measure that the server tells, each once and with a label', () => {
  const { container } = render(<Shelf />);
  const boxes = within(container).getAllByRole('checkbox');
  expect(boxes).toHaveLength(ALL.length);
  for (const measure of ALL) expect(screen.getAllByLabelText(measure.name)).toHaveLength(1);
});

it('says what stays once fitted, and what needs something that is not here', () => {
  render(<Shelf />);
  const said = (name: string) => {
    const id = screen.getByLabelText(name).getAttribute('aria-describedby');
    return id === null ? null : document.getElementById(id)?.textContent;
  };
  expect(said('Hole in the wall')).toBe('permanent');
  expect(said('Air stone')).toBe('');
  expect(screen.getByText('Second chamber').parentElement?.textContent).toBe(
    'Second chamber needs a tank with a calcium reactor.',
  );
});

it('shows what each gains and costs, and sorts the cheapest good one first', async () => {
  const user = userEvent.setup();
  render(<Shelf />);
  expect(screen.getByText('+0.04 to +0.09')).toBeDefined();
  expect(screen.getByText('€60')).toBeDefined();
  expect(screen.getByText('€19/mo')).toBeDefined();
  await user.click(screen.getByRole('button', { name: 'Sort cheapest first' }));
  const good = within(screen.getByRole('region', { name: 'Worth it here · cheapest first' }));
  expect(good.getAllByRole('checkbox').map((box) => box.parentElement?.textContent)).toEqual([
    'Air stone',
    'Media before it',
  ]);
});
