import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, test, vi } from 'vitest';
import { Problem } from '../api/client';
import { Field } from '../parts/Field';
import { Refusal } from '../parts/Refusal';
import { number, words } from './checks';
import { useTypedForm } from './useTypedForm';
import { z } from './zod';

afterEach(() => {
  cleanup();
  sessionStorage.clear();
});

const schema = z.object({ name: words('Name it.', 10), litres: number('The volume') });

function Small({
  send,
  start = { name: '', litres: '' },
}: {
  send: (values: unknown) => Problem | null;
  start?: { name: string; litres: string };
}) {
  const { form, field, refuse, sent, refusal } = useTypedForm(
    schema,
    start,
    (name) => (name === 'netVolumeL' ? 'litres' : name),
    'small',
  );
  const save = form.handleSubmit((values) => {
    const problem = send(values);
    if (problem) refuse(problem);
    else sent();
  });
  return (
    <form onSubmit={(e) => void save(e)} noValidate>
      <Field label="Name" {...field('name')} />
      <Field label="Litres" {...field('litres')} />
      <Refusal message={refusal} />
      <button type="submit">Send</button>
    </form>
  );
}

const type = async (name: string, litres: string) => {
  await userEvent.type(screen.getByLabelText('Name'), name);
  await userEvent.type(screen.getByLabelText('Litres'), litres);
  await userEvent.click(screen.getByText('Send'));
};

test('what is wrong stands at its field, and nothing is sent', async () => {
  const send = vi.fn(() => null);
  render(<Small send={send} />);
  await type(' ', 'much');
  expect((await screen.findByText('✕ Name it.')).closest('[role=alert]')).toBeTruthy();
  expect(screen.getByText('✕ The volume must be a number.')).toBeTruthy();
  expect(screen.getByLabelText('Litres').getAttribute('aria-invalid')).toBe('true');
  expect(send).not.toHaveBeenCalled();
});

test('what the server refuses stands at the field that it names, under its own name for it', async () => {
  const problem = new Problem(422, 'Refused.', [{ field: 'netVolumeL', message: 'Too much.' }]);
  render(<Small send={() => problem} />);
  await type('reef', '999999');
  expect(await screen.findByText('✕ Too much.')).toBeTruthy();
  expect(screen.queryByText('✕ Refused.')).toBe(null);
});

test('what names no field is said beneath, and gone with the next try', async () => {
  const send = vi.fn<() => Problem | null>();
  send.mockReturnValueOnce(new Problem(0, 'The server does not answer.')).mockReturnValue(null);
  render(<Small send={send} />);
  await type('reef', '100');
  expect(await screen.findByText('✕ The server does not answer.')).toBeTruthy();
  await userEvent.click(screen.getByText('Send'));
  expect(screen.queryByText('✕ The server does not answer.')).toBe(null);
  expect(send).toHaveBeenLastCalledWith({ name: 'reef', litres: '100' });
});

test('a field that this form does not have is no reason for silence', async () => {
  const problem = new Problem(422, 'Refused.', [{ field: 'moon', message: 'It is full.' }]);
  render(<Small send={() => problem} />);
  await type('reef', '100');
  expect(await screen.findByText('✕ It is full.')).toBeTruthy();
});

const shown = (label: string) => screen.getByLabelText<HTMLInputElement>(label).value;

test('what was typed outlives a reload, over what was saved meanwhile, until it is sent', async () => {
  const send = vi.fn(() => null);
  const { unmount } = render(<Small send={send} />);
  await userEvent.type(screen.getByLabelText('Name'), 'reef');
  unmount();
  const again = render(<Small send={send} start={{ name: '', litres: '420' }} />);
  expect(shown('Name')).toBe('reef');
  expect(shown('Litres')).toBe('420');
  await userEvent.click(screen.getByText('Send'));
  await vi.waitFor(() => expect(send).toHaveBeenCalled());
  again.unmount();
  render(<Small send={send} />);
  expect(shown('Name')).toBe('');
});

test('what is typed back to where it began is not kept', async () => {
  const { unmount } = render(<Small send={() => null} />);
  await userEvent.type(screen.getByLabelText('Name'), 'x');
  await userEvent.clear(screen.getByLabelText('Name'));
  unmount();
  expect(Object.keys(sessionStorage)).toEqual([]);
});
