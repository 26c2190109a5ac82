import font from '@fontsource-variable/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-wght-normal.woff2?url';

/** A drawing as a PNG at twice its size. Colours and typeface go into it, for a picture sees no style sheet. */
export async function toPng(svg: SVGSVGElement): Promise<Blob> {
  const style = getComputedStyle(document.documentElement);
  const bytes = await (await fetch(font)).blob();
  const face = `@font-face{font-family:'Atkinson Hyperlegible Next';font-weight:200 800;src:url(${await dataUrl(bytes)})}`;
  const markup = new XMLSerializer()
    .serializeToString(svg)
    .replace(/var\((--[\w-]+)\)/g, (_, name: string) => style.getPropertyValue(name).trim())
    .replace(/(<svg[^>]*>)/, `$1<style>${face}</style>`);
  const image = new Image();
  image.src = await dataUrl(new Blob([markup], { type: 'image/svg+xml' }));
  await image.decode();
  const canvas = document.createElement('canvas');
  canvas.width = svg.clientWidth * 2;
  canvas.height = svg.clientHeight * 2;
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

/** Hands a file to the keeper. */
export function download(blob: Blob, name: string): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(blob);
  link.download = name;
  link.click();
  URL.revokeObjectURL(link.href);
}
