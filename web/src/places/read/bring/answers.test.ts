import { describe, expect, it } from 'vitest';
import type { Channel, Offer } from '../../../api/types';
import { chosen, firstAnswers, open, plan } from './answers';

const channel = (key: string, guess: Channel['guess']): Channel => ({
  key,
  label: key,
  samples: ['8.1'],
  guess,
});

const PH = channel('1', {
  quantity: 'PH',
  units: ['PH_NBS', 'PH_TOTAL'],
  places: ['TANK'],
  method: 'PROBE',
});
const AIR = channel('2', {
  quantity: 'CO2',
  units: ['CO2_PPM'],
  places: ['ROOM', 'OUTDOORS', 'INTAKE'],
  method: 'METER',
});
const NOTE = channel('3', { units: [], places: [], method: 'METER' });

const offer = (channels: Channel[], more: Partial<Offer> = {}): Offer => ({
  view: {
    id: 1,
    name: 'log.csv',
    format: 'CSV',
    state: 'WAITING',
    createdAt: '2026-11-12T09:00:00Z',
    bytes: 10,
    bytesRead: 0,
    linesRead: 0,
    saved: 0,
    alreadyThere: 0,
    conflicts: 0,
    bad: 0,
    replaced: false,
  },
  layout: { delimiter: ',', skipLines: 1, timeColumn: 0, timeForm: 'DAY_FIRST' },
  timeForms: ['DAY_FIRST', 'MONTH_FIRST'],
  zoneStated: false,
  zone: 'Europe/Amsterdam',
  channels,
  ...more,
});

describe('what a file cannot say', () => {
  it('is asked, not guessed', () => {
    const asked = offer([PH, AIR, NOTE]);
    const answers = firstAnswers(asked);
    expect(answers.channels['1']).toMatchObject({ what: 'ph', unit: 'PH_NBS' });
    expect(answers.channels['2']?.what).toBeNull();
    expect(answers.channels['3']?.what).toBe('nothing');
    expect(open(asked, answers)).toBe(3);
    expect(plan(asked, answers)).toBeNull();
  });

  it('is not asked where the file leaves no doubt', () => {
    const sure = offer([{ ...PH, guess: { ...PH.guess, units: ['PH_NBS'] } }], {
      zoneStated: true,
      timeForms: ['YEAR_FIRST'],
    });
    const answers = firstAnswers(sure);
    expect(open(sure, answers)).toBe(0);
    expect(plan(sure, answers)?.channels).toEqual([
      { key: '1', unit: 'PH_NBS', place: 'TANK', method: 'PROBE' },
    ]);
  });

  it('may be answered against the guess', () => {
    const answer = chosen(PH, { what: 'ph', unit: 'PH_NBS', method: 'PROBE' }, 'calcium');
    expect(answer).toEqual({ what: 'calcium', unit: 'CALCIUM_MG_PER_L', method: 'TITRATION_KIT' });
    expect(chosen(AIR, { what: null, unit: 'CO2_PPM', method: 'METER' }, 'outdoors').unit).toBe(
      'CO2_PPM',
    );
  });
});
