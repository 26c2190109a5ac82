import { fireEvent, render, screen } from '@testing-library/react';
import { expect, it, vi } from 'vitest';
import { Choice } from '../parts/Choice';
import { Field } from '../parts/Field';
import { When } from '../parts/When';
import { typing } from './Commands';

it('leaves keys to what is typed or chosen, and to nothing else', () => {
  const asked = vi.fn<(busy: boolean) => void>();
  document.addEventListener('keydown', (e) => asked(typing(e.target)));
  render(
    <>
      <Field label="Name" />
      <When kind="moment" label="At" value="2026-01-05T09:55" />
      <Choice label="Unit" value="a" options={[{ value: 'a', label: 'dKH' }]} />
      <button type="button">Save</button>
    </>,
  );
  const busy = (at: Element) => {
    fireEvent.keyDown(at, { key: '2' });
    return asked.mock.lastCall?.[0];
  };
  expect(busy(screen.getByLabelText('Name'))).toBe(true);
  screen.getAllByRole('spinbutton').forEach((part) => expect(busy(part)).toBe(true));
  expect(busy(screen.getByLabelText('Unit'))).toBe(true);
  expect(busy(screen.getByText('Save'))).toBe(false);
});
