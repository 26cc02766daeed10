/** Red, green and blue from 0 to 255, and how much of what is behind is covered. */
export type Colour = readonly [red: number, green: number, blue: number, alpha: number];

/** Reads a colour as browsers compute it. */
export function colourOf(text: string): Colour | null {
  const numbers = /^rgba?\(([^)]*)\)$/
    .exec(text)?.[1]!
    .split(/[\s,/]+/)
    .map(Number);
  if (!numbers || numbers.length < 3 || numbers.some(Number.isNaN)) return null;
  return [numbers[0]!, numbers[1]!, numbers[2]!, numbers[3] ?? 1];
}

export function textColourOf(style: CSSStyleDeclaration): Colour | null {
  return colourOf(style.color);
}

/** What is behind an element: the colours around it, laid over one another; null where a picture is. */
export function groundOf(element: Element): Colour | null {
  const layers: Colour[] = [];
  for (let one: Element | null = element; one; one = one.parentElement) {
    const style = getComputedStyle(one);
    if (style.backgroundImage !== 'none' && style.backgroundImage !== '') return null;
    const colour = colourOf(style.backgroundColor);
    if (colour && colour[3] > 0) layers.push(colour);
    if (colour?.[3] === 1) break;
  }
  return layers.reduceRight((below, above) => over(above, below), [255, 255, 255, 1] as Colour);
}

function over(above: Colour, below: Colour): Colour {
  const mix = (i: 0 | 1 | 2) => above[i] * above[3] + below[i] * (1 - above[3]);
  return [mix(0), mix(1), mix(2), 1];
}

/** How far two colours stand apart, from 1 to 21 (WCAG 2.2, contrast ratio). */
export function contrastOf(text: Colour, ground: Colour): number {
  const [a, b] = [luminance(over(text, ground)), luminance(ground)];
  return (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);
}

function luminance([red, green, blue]: Colour): number {
  const [r, g, b] = [red, green, blue].map((one) => {
    const share = one / 255;
    return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
  });
  return 0.2126 * r! + 0.7152 * g! + 0.0722 * b!;
}
