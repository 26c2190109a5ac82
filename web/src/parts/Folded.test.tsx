import { cleanup, render, screen } from '@testing-library/react';
import { afterEach, expect, test } from 'vitest';
import { Folded } from './Folded';

afterEach(cleanup);

test('what was opened for an error stays open once the error is mended', () => {
  const group = (needed: boolean) => (
    <Folded title="The water" needed={needed}>
      <input aria-label="pH" />
    </Folded>
  );
  const { rerender } = render(group(false));
  expect(screen.getByRole('group')).not.toHaveProperty('open', true);
  rerender(group(true));
  expect(screen.getByRole('group')).toHaveProperty('open', true);
  rerender(group(false));
  expect(screen.getByRole('group')).toHaveProperty('open', true);
});
