import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, expect, it, vi } from 'vitest';
import { Refusal } from './Refusal';

afterEach(cleanup);

function Form({ message }: { message?: string }) {
  return (
    <form>
      <input aria-label="Air" />
      <Refusal message={message} />
    </form>
  );
}

it('goes once the form is changed, and comes back with the next refusal', () => {
  const scrolled = vi.fn();
  Element.prototype.scrollIntoView = scrolled;
  const { rerender } = render(<Form message="Air must be 1–900 L/h." />);
  expect(screen.getByRole('alert').textContent).toContain('Air must be');
  expect(scrolled).toHaveBeenCalledOnce();
  fireEvent.input(screen.getByLabelText('Air'), { target: { value: '60' } });
  expect(screen.queryByRole('alert')).toBeNull();
  rerender(<Form />);
  rerender(<Form message="Air must be 1–900 L/h." />);
  expect(screen.getByRole('alert')).toBeDefined();
});
