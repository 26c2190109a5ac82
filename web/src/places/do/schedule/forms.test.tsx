import { fireEvent, render, screen } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Lane, LaneRule, Schedule } from '../../../api/types';
import { choose, typeTime } from '../../../testing/fill';
import { LaneForm } from './LaneForm';
import { RuleForm } from './RuleForm';
import { WindowForm } from './WindowForm';

const PUMP: Lane = {
  id: 'pump',
  kind: 'FLOW_PUMP',
  name: 'pump',
  rest: { does: 'ON' },
  afterPower: { does: 'ON' },
};
const AIR: Lane = {
  id: 'air',
  kind: 'AIR_PATH',
  name: 'its air',
  rest: { does: 'FRESH' },
  afterPower: { does: 'FRESH' },
};
const P: Schedule = {
  lanes: [PUMP, AIR],
  windows: [
    {
      id: 'hour',
      name: 'bubble hour',
      allDay: false,
      from: { time: '19:00' },
      until: { time: '20:00' },
    },
  ],
  rules: [],
};

const type = (label: string, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });
const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));

/** The rule that a form makes once it is filled in. */
function made(lane: Lane, fill: () => void, rule?: LaneRule): LaneRule | undefined {
  const change = vi.fn<(p: Schedule) => void>();
  render(
    <RuleForm
      lane={lane}
      rule={rule}
      schedule={rule ? { ...P, rules: [rule] } : P}
      change={change}
      close={() => undefined}
    />,
  );
  fill();
  press(rule ? 'Save' : 'Add');
  return change.mock.calls[0]?.[0].rules.at(-1);
}

beforeEach(() => {
  document.body.innerHTML = '';
});

describe('a rule', () => {
  it('is a wave in the newest window at first', () => {
    expect(made(PUMP, () => choose('State', 'WAVE'))).toEqual({
      lane: 'pump',
      kind: 'SPECIAL',
      window: 'hour',
      state: { does: 'WAVE', onS: 300, offS: 30 },
    });
  });

  it('is two surges afterwards, a minute each, five minutes apart', () => {
    expect(made(PUMP, () => choose('When', 'FOLLOW_UP'))).toEqual({
      lane: 'pump',
      kind: 'FOLLOW_UP',
      window: 'hour',
      steps: [
        { afterS: 0, lastsS: 60, state: { does: 'ON' } },
        { afterS: 300, lastsS: 60, state: { does: 'ON' } },
      ],
    });
  });

  it('is a gate with what holds without a reading, at any time', () => {
    const gate = made(AIR, () => {
      choose('When', 'GATE');
      choose('In', '');
      type('than', '8,15');
      choose('State', 'MEDIA');
    });
    expect(gate).toEqual({
      lane: 'air',
      kind: 'GATE',
      window: undefined,
      state: { does: 'MEDIA' },
      limit: {
        quantity: 'PH',
        above: false,
        value: 8.15,
        hysteresis: 0.05,
        leastOnMin: 10,
        leastOffMin: 10,
        staleAfterMin: 30,
      },
      whenNotKnown: { does: 'FRESH' },
    });
  });

  it('comes back to be changed, and is refused in words', () => {
    const rule: LaneRule = {
      lane: 'pump',
      kind: 'USUAL',
      window: 'hour',
      state: { does: 'SHARE', share: 0.4 },
    };
    expect(made(PUMP, () => type('Of full power', '140'), rule)).toBeUndefined();
    expect(screen.getByRole('alert').textContent).toMatch(/0–100/);
    type('Of full power', '25');
    press('Save');
  });

  it('offers a lane only what it can do', () => {
    made(AIR, () => undefined);
    fireEvent.keyDown(screen.getByLabelText('State'), { key: 'Enter' });
    const options = screen.getAllByRole('option').map((o) => o.dataset.value);
    expect(options).toEqual(['FRESH', 'MEDIA', 'RECIRCULATED']);
  });
});

describe('a window', () => {
  function saved(fill: () => void) {
    const change = vi.fn<(p: Schedule) => void>();
    render(<WindowForm schedule={P} change={change} close={() => undefined} />);
    fill();
    press('Add');
    return change.mock.calls[0]?.[0].windows.at(-1);
  }

  it('has a name and lasts some time', async () => {
    expect(saved(() => undefined)).toBeUndefined();
    expect(screen.getByRole('alert').textContent).toMatch(/Enter a name/);
    type('Name', 'feeding');
    await typeTime('Ends at', '19:00');
    press('Add');
    expect(screen.getByRole('alert').textContent).toMatch(/Start and end are the same/);
  });

  it('follows the lamps, on some days, in a season', () => {
    const window = saved(() => {
      type('Name', 'Dusk');
      choose('Begins', 'OFF');
      type('Begins minutes after', '-30');
      choose('Ends', 'OFF');
      fireEvent.click(screen.getByLabelText('Sun'));
      fireEvent.click(screen.getByLabelText('only in a season'));
    });
    expect(window).toMatchObject({
      id: 'dusk',
      from: { light: 'OFF', minutes: -30 },
      until: { light: 'OFF', minutes: 0 },
      seasonFrom: '11-01',
      seasonUntil: '03-31',
    });
    expect(window?.days).toHaveLength(6);
  });
});

describe('a lane', () => {
  it('rests as such a device safely does', () => {
    const change = vi.fn<(p: Schedule) => void>();
    render(<LaneForm schedule={P} change={change} close={() => undefined} />);
    press('Add');
    expect(screen.getByRole('alert').textContent).toMatch(/Enter a name/);
    type('Name', 'skimmer');
    choose('What it is', 'SKIMMER');
    press('Add');
    expect(change.mock.calls[0]?.[0].lanes.at(-1)).toEqual({
      id: 'skimmer',
      kind: 'SKIMMER',
      name: 'skimmer',
      rest: { does: 'ON' },
      afterPower: { does: 'ON' },
      doses: undefined,
    });
  });
});
