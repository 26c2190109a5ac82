import { fireEvent, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';

/** Opens a list by the keyboard and chooses by the value that the option stands for. */
export function choose(label: string, value: string) {
  fireEvent.keyDown(screen.getByLabelText(label), { key: 'Enter' });
  const option = document.querySelector(`[role=option][data-value="${value}"]`);
  if (!option) throw new Error(`${label} offers no ${value}`);
  fireEvent.keyDown(option, { key: 'Enter' });
}

/** Types a time of day ("19:00") into its parts. */
export async function typeTime(label: string, time: string) {
  const parts = screen.getByRole('group', { name: label }).querySelectorAll('[role=spinbutton]');
  await userEvent.click(parts[0] as HTMLElement);
  await userEvent.keyboard(time.replace(':', ''));
}
