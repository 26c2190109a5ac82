import { zodResolver } from '@hookform/resolvers/zod';
import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import { useForm } from 'react-hook-form';
import { beforeEach, expect, it, vi } from 'vitest';
import { z } from '../lib/zod';
import { choose, typeTime } from '../testing/fill';
import { Choice } from './Choice';
import { When } from './When';

const sent = vi.fn();
const schema = z.object({
  place: z.string().min(1, 'Choose a place.'),
  at: z.string().min(1, 'Enter a time.'),
});

function Form() {
  const form = useForm({
    resolver: zodResolver(schema),
    defaultValues: { place: '', at: '08:30' },
  });
  const { errors } = form.formState;
  return (
    <form noValidate onSubmit={(e) => void form.handleSubmit((typed) => void sent(typed))(e)}>
      <Choice
        label="Place"
        {...form.register('place')}
        error={errors.place?.message}
        options={[
          { value: '', label: 'not known' },
          { value: 'SUMP', label: 'sump' },
        ]}
      />
      <When kind="time" label="At" {...form.register('at')} error={errors.at?.message} />
      <button type="button" onClick={() => form.reset({ place: '', at: '21:15' })}>
        reset
      </button>
      <button type="submit">send</button>
    </form>
  );
}

const shownTime = () =>
  screen.getByRole('group', { name: 'At' }).textContent.replace(/[^\d:]/g, '');

beforeEach(() => {
  document.body.innerHTML = '';
  sent.mockClear();
  render(<Form />);
});

it('shows what the form begins with and sends what was chosen and typed', async () => {
  expect(screen.getByLabelText('Place').textContent).toBe('not known');
  expect(shownTime()).toBe('08:30');
  choose('Place', 'SUMP');
  await typeTime('At', '19:05');
  fireEvent.click(screen.getByText('send'));
  await waitFor(() => expect(sent).toHaveBeenCalledWith({ place: 'SUMP', at: '19:05' }));
});

it('follows the form when it begins anew', async () => {
  choose('Place', 'SUMP');
  expect(screen.getByLabelText('Place').textContent).toBe('sump');
  fireEvent.click(screen.getByText('reset'));
  await waitFor(() => expect(screen.getByLabelText('Place').textContent).toBe('not known'));
  expect(shownTime()).toBe('21:15');
});

it('takes the focus where it is the first that is refused', async () => {
  fireEvent.click(screen.getByText('send'));
  expect((await screen.findByRole('alert')).textContent).toContain('Choose a place.');
  expect(document.activeElement).toBe(screen.getByLabelText('Place'));
  expect(sent).not.toHaveBeenCalled();
});

it('tells nobody of a year that is still being typed', async () => {
  const told = vi.fn<(value: string) => void>();
  render(
    <When kind="date" label="Since" value="2026-11-20" onChange={(e) => told(e.target.value)} />,
  );
  await typeTime('Since', '2020');
  expect(told.mock.calls.flat().every((day) => /^20\d\d-11-20$/.test(day))).toBe(true);
  expect(told).toHaveBeenLastCalledWith('2020-11-20');
});
