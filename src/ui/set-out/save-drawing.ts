/**
 * A drawing as a file of its own: what the page lends it (colours, the font) is written into it, and what is
 * only for the screen is left out.
 */
export function drawingText(svg: SVGSVGElement): string {
  const own = svg.cloneNode(true) as SVGSVGElement;
  own.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  for (const mark of own.querySelectorAll('[data-screen]')) mark.remove();
  for (const one of own.querySelectorAll('[tabindex], [role=button]'))
    for (const name of ['tabindex', 'role', 'class', 'aria-pressed']) one.removeAttribute(name);
  own.removeAttribute('class');
  own.setAttribute('role', 'img');
  const style = getComputedStyle(document.documentElement);
  const colours = ['paper', 'sheet', 'ink', 'ink-soft', 'rule', 'hair', 'signal', 'on-signal', 'signal-ink'];
  const rules = colours.map((name) => `--${name}:${style.getPropertyValue(`--${name}`).trim()}`).join(';');
  const sheet = document.createElementNS('http://www.w3.org/2000/svg', 'style');
  sheet.textContent = `svg{${rules}}`;
  own.prepend(sheet);
  return new XMLSerializer().serializeToString(own);
}

/** The same as a picture, twice as fine as on the screen. Rejects where the browser cannot paint it. */
export async function drawingPicture(svg: SVGSVGElement): Promise<Blob> {
  const address = URL.createObjectURL(new Blob([drawingText(svg)], { type: 'image/svg+xml' }));
  try {
    const image = new Image();
    image.src = address;
    await image.decode();
    const canvas = new OffscreenCanvas(svg.width.baseVal.value * 2, svg.height.baseVal.value * 2);
    const context = canvas.getContext('2d');
    if (!context) throw new Error('no canvas');
    context.drawImage(image, 0, 0, canvas.width, canvas.height);
    return await canvas.convertToBlob({ type: 'image/png' });
  } finally {
    URL.revokeObjectURL(address);
  }
}
