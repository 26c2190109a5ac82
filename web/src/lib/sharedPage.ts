import { standalone, typeface } from './picture';

/** What is shared: words first, then drawings, then what is to be said beside them. */
export interface Shared {
  heading: string;
  lead: string;
  lines: readonly string[];
  /** What others need to know of the tank. */
  tank: string;
}

const XHTML = 'http://www.w3.org/1999/xhtml';

const RULES = `body{margin:0;background:#fbf9f4;color:#18262c;font:17px/1.5 'Atkinson Hyperlegible Next',system-ui,sans-serif}
main{max-width:760px;margin:0 auto;padding:24px 20px 48px}h1{font-size:22px;margin:0 0 4px}
.lead{font-size:24px;line-height:1.3;font-weight:600;margin:0 0 20px}svg{display:block;width:100%;height:auto;margin:0 0 16px}
footer{color:#566367;border-top:1px solid #d8d3c6;margin-top:24px;padding-top:12px;font-size:15px}`;

/** Words and drawings as one page that asks nothing of any server. */
export async function sharedPage(
  shared: Shared,
  drawings: readonly SVGSVGElement[],
): Promise<Blob> {
  const page = document.implementation.createDocument(XHTML, 'html');
  const add = (parent: Element, name: string, attributes: Record<string, string>, text = '') => {
    const element = page.createElementNS(XHTML, name);
    for (const [key, value] of Object.entries(attributes)) element.setAttribute(key, value);
    element.textContent = text;
    parent.append(element);
    return element;
  };
  const root = page.documentElement;
  root.setAttribute('lang', 'en');
  const head = add(root, 'head', {});
  add(head, 'meta', { charset: 'utf-8' });
  add(head, 'meta', {
    'http-equiv': 'Content-Security-Policy',
    content: "default-src 'none'; style-src 'unsafe-inline'; font-src data:",
  });
  add(head, 'meta', { name: 'viewport', content: 'width=device-width, initial-scale=1' });
  add(head, 'title', {}, shared.heading);
  const main = add(add(root, 'body', {}), 'main', {});
  add(main, 'h1', {}, shared.heading);
  add(main, 'p', { class: 'lead' }, shared.lead);
  for (const drawing of drawings) main.append(page.importNode(standalone(drawing), true));
  for (const line of shared.lines) add(main, 'p', {}, line);
  add(main, 'footer', {}, `${shared.tank} ${NAMELESS}`);
  // Put in as text: made as an element, a style would be held to the policy of the page that makes it.
  const style = `<style>${await typeface()}\n${RULES}</style></head>`;
  const markup = new XMLSerializer().serializeToString(root).replace('</head>', () => style);
  return new Blob([`<!doctype html>\n${markup}`], { type: 'text/html' });
}

export const NAMELESS =
  'Computed from the tank’s own log with Jolly Tide. Place, name and notes are left out.';
