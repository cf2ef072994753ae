import { say } from '../../../text/en/say/ui';
/** A drawing on the page as an SVG document that stands by itself: colours of the theme written out. */
export function standaloneSvg(svg: SVGSVGElement): string {
  const copy = svg.cloneNode(true) as SVGSVGElement;
  const style = getComputedStyle(document.documentElement);
  const { width, height } = svg.getBoundingClientRect();
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  copy.setAttribute('width', String(Math.round(width)));
  copy.setAttribute('height', String(Math.round(height)));
  copy.setAttribute('font-family', 'Archivo, Arial, sans-serif');
  copy.removeAttribute('class');
  for (const node of copy.querySelectorAll('[class]')) node.removeAttribute('class');
  const ground = document.createElementNS('http://www.w3.org/2000/svg', 'rect');
  ground.setAttribute('width', '100%');
  ground.setAttribute('height', '100%');
  ground.setAttribute('fill', 'var(--panel)');
  copy.prepend(ground);
  const text = new XMLSerializer().serializeToString(copy);
  return text.replace(
    /var\((--[\w-]+)\)/g,
    (_, name: string) => style.getPropertyValue(name).trim() || '#888',
  );
}

/** The same as a PNG at twice the size. @throws Error when the browser cannot draw it */
export async function pictureOf(svg: SVGSVGElement): Promise<Blob> {
  const { width, height } = svg.getBoundingClientRect();
  const url = URL.createObjectURL(new Blob([standaloneSvg(svg)], { type: 'image/svg+xml' }));
  try {
    const image = new Image();
    image.src = url;
    await image.decode();
    const canvas = document.createElement('canvas');
    canvas.width = Math.round(2 * width);
    canvas.height = Math.round(2 * height);
    const pen = canvas.getContext('2d');
    if (!pen) throw new Error(say.browserGivesNoCanvas);
    pen.drawImage(image, 0, 0, canvas.width, canvas.height);
    return await new Promise((resolve, reject) =>
      canvas.toBlob(
        (blob) => (blob ? resolve(blob) : reject(new Error(say.pictureCouldNotMade))),
        'image/png',
      ),
    );
  } finally {
    URL.revokeObjectURL(url);
  }
}
