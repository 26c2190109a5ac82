import { render } from '@testing-library/react';
import { expect, it } from 'vitest';
import { useAlarmTitle, usePageTitle } from './title';

function Tab({ screen, alarm }: { screen?: string; alarm: string | null }) {
  usePageTitle(screen, 'Heron');
  useAlarmTitle(alarm);
  return null;
}

it('names what is open, and keeps an alarm in front whatever is opened', () => {
  const { rerender, unmount } = render(<Tab screen="Bench" alarm={null} />);
  expect(document.title).toBe('Bench · Heron · Jolly Tide');
  rerender(<Tab screen="Bench" alarm="Skimmer on!" />);
  expect(document.title).toBe('Skimmer on!');
  rerender(<Tab screen="Twin" alarm="Skimmer on!" />);
  expect(document.title).toBe('Skimmer on!');
  rerender(<Tab screen="Twin" alarm={null} />);
  expect(document.title).toBe('Twin · Heron · Jolly Tide');
  rerender(<Tab alarm={null} />);
  expect(document.title).toBe('Heron · Jolly Tide');
  unmount();
});
