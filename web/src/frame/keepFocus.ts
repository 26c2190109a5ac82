/** Where the focus goes when nothing around what had it is left. */
const PAGE = '#page';

/**
 * Keeps the focus from falling to the page's beginning when what had it is taken away: it goes to the nearest thing
 * around it that is left, so that the next press of a key goes on from there.
 *
 * @returns stops it
 */
export function keepFocus(page: Document): () => void {
  let around: Element[] = [];
  const remember = (e: FocusEvent) => {
    around = [];
    for (let at = e.target instanceof Element ? e.target : null; at; at = at.parentElement)
      around.push(at);
  };
  const watcher = new MutationObserver(() => {
    const had = around[0];
    if (!had || had.isConnected || page.activeElement !== page.body) return;
    const left = around.find((at) => at.isConnected && at !== page.body && at.matches('main *'));
    const next = left ?? page.querySelector(PAGE);
    around = [];
    // A sheet that is open keeps the focus itself.
    if (page.querySelector('[role=dialog]')) return;
    if (!(next instanceof HTMLElement)) return;
    if (!next.hasAttribute('tabindex')) next.tabIndex = -1;
    next.focus({ preventScroll: true });
  });
  page.addEventListener('focusin', remember);
  watcher.observe(page.body, { childList: true, subtree: true });
  return () => {
    page.removeEventListener('focusin', remember);
    watcher.disconnect();
  };
}
