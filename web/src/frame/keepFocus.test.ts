import { afterEach, beforeEach, expect, it } from 'vitest';
import { keepFocus } from './keepFocus';

let stop = () => {};
const find = (selector: string) => document.querySelector<HTMLElement>(selector);
const settled = () => new Promise((done) => setTimeout(done));

beforeEach(() => {
  document.body.innerHTML = `
    <main id="page" tabindex="-1">
      <ul><li id="first"><button>Remove</button></li><li id="second"><button>Keep</button></li></ul>
    </main>`;
  stop = keepFocus(document);
});
afterEach(() => stop());

it('goes to what is left around a button that is taken away', async () => {
  find('#first button')?.focus();
  find('#first button')?.remove();
  await settled();
  expect(document.activeElement).toBe(find('#first'));
});

it('goes to the list when a whole row is taken away', async () => {
  find('#first button')?.focus();
  find('#first')?.remove();
  await settled();
  expect(document.activeElement).toBe(find('ul'));
});

it('goes to the page when nothing around it is left', async () => {
  find('#first button')?.focus();
  find('ul')?.remove();
  await settled();
  expect(document.activeElement).toBe(find('#page'));
});

it('leaves alone what still has the focus', async () => {
  find('#second button')?.focus();
  find('#first')?.remove();
  await settled();
  expect(document.activeElement).toBe(find('#second button'));
});
