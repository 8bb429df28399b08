/** What a drawing looks like, taken over from the page: outside of it there are neither its style sheets nor its colours. */
const LOOKS = [
  'fill',
  'fill-opacity',
  'stroke',
  'stroke-width',
  'stroke-dasharray',
  'stroke-linecap',
  'stroke-linejoin',
  'stroke-opacity',
  'opacity',
  'font-family',
  'font-size',
  'font-weight',
  'text-anchor',
  'dominant-baseline',
] as const;

/** A drawing of the page as a file of its own: SVG with its looks written into it. */
export function drawingFile(drawing: SVGSVGElement): string {
  const copy = drawing.cloneNode(true) as SVGSVGElement;
  const [drawn, copied] = [
    [drawing, ...drawing.querySelectorAll('*')],
    [copy, ...copy.querySelectorAll('*')],
  ];
  drawn.forEach((one, i) => {
    const looks = getComputedStyle(one);
    const target = copied[i]!;
    for (const look of LOOKS) target.setAttribute(look, looks.getPropertyValue(look));
    target.removeAttribute('class');
    target.removeAttribute('style');
  });
  const { width, height } = drawing.getBoundingClientRect();
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  copy.setAttribute('width', String(Math.round(width)));
  copy.setAttribute('height', String(Math.round(height)));
  if (!copy.hasAttribute('viewBox')) copy.setAttribute('viewBox', `0 0 ${Math.round(width)} ${Math.round(height)}`);
  return `<?xml version="1.0" encoding="UTF-8"?>\n${new XMLSerializer().serializeToString(copy)}\n`;
}

/** Hands the first drawing within a part of the page to the browser to keep. */
export function saveDrawing(within: Element | null, name: string): void {
  const drawing = within?.querySelector('svg');
  if (!drawing) return;
  const address = URL.createObjectURL(new Blob([drawingFile(drawing)], { type: 'image/svg+xml' }));
  const link = document.createElement('a');
  link.href = address;
  link.download = `${name.replaceAll(/[^\p{L}\p{N}]+/gu, '-')}.svg`;
  link.click();
  setTimeout(() => URL.revokeObjectURL(address), 10_000);
}
