import { expect, it } from 'vitest';
import { sumCsv } from './csv';

it('lists what went in and what came out', () => {
  expect(
    sumCsv('room', { volumeM3: 40, people: { adults: 2 }, none: undefined }, { list: [1, 2] }),
  ).toBe(
    'sum,part,field,value\r\nroom,given,volumeM3,40\r\nroom,given,people.adults,2\r\n' +
      'room,answer,list.0,1\r\nroom,answer,list.1,2\r\n',
  );
});

it('quotes what would break a line', () => {
  expect(sumCsv('a', { label: 'soda "ash", Na2CO3' }, {})).toContain('"soda ""ash"", Na2CO3"');
});
