import font from '@fontsource-variable/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-wght-normal.woff2?url';

/** What a style sheet may say of a drawing, and what its children take over from it. */
const INHERITED = [
  'fill',
  'fill-opacity',
  'stroke',
  'stroke-width',
  'stroke-opacity',
  'stroke-dasharray',
  'stroke-linejoin',
  'font-family',
  'font-size',
  'font-weight',
  'text-anchor',
  'paint-order',
] as const;

/** A drawing that needs no style sheet, as its markup: colours and type are written into it, and no class is left. */
export function standalone(svg: SVGSVGElement): SVGSVGElement {
  const copy = svg.cloneNode(true) as SVGSVGElement;
  write(svg, copy, null);
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  return copy;
}

function write(drawn: Element, copy: Element, around: CSSStyleDeclaration | null): void {
  const style = getComputedStyle(drawn);
  for (const property of INHERITED) {
    const value = style.getPropertyValue(property);
    if (value && value !== around?.getPropertyValue(property)) copy.setAttribute(property, value);
    else copy.removeAttribute(property);
  }
  copy.removeAttribute('class');
  copy.removeAttribute('style');
  [...drawn.children].forEach((child, i) => {
    const its = copy.children[i];
    if (its) write(child, its, style);
  });
}

/** The typeface, for a file that has no server to fetch it from. */
export async function typeface(): Promise<string> {
  const bytes = await (await fetch(font)).blob();
  return `@font-face{font-family:'Atkinson Hyperlegible Next';font-weight:200 800;src:url(${await dataUrl(bytes)}) format('woff2')}`;
}

/** A drawing as a file of its own. */
export async function toSvg(svg: SVGSVGElement): Promise<Blob> {
  const copy = standalone(svg);
  const style = document.createElementNS('http://www.w3.org/2000/svg', 'style');
  style.textContent = await typeface();
  copy.prepend(style);
  return new Blob([new XMLSerializer().serializeToString(copy)], { type: 'image/svg+xml' });
}

/** A drawing as a PNG at twice its size. */
export async function toPng(svg: SVGSVGElement): Promise<Blob> {
  const image = new Image();
  image.src = await dataUrl(await toSvg(svg));
  await image.decode();
  const box = svg.viewBox.baseVal;
  const canvas = document.createElement('canvas');
  canvas.width = box.width * 2;
  canvas.height = box.height * 2;
  canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height);
  return new Promise((resolve, reject) =>
    canvas.toBlob((png) => (png ? resolve(png) : reject(new Error('no picture'))), 'image/png'),
  );
}

function dataUrl(blob: Blob): Promise<string> {
  return new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(typeof reader.result === 'string' ? reader.result : '');
    reader.onerror = () => reject(new Error('unreadable'));
    reader.readAsDataURL(blob);
  });
}
