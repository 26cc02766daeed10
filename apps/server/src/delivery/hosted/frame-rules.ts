import { Markup } from './markup.js';

/**
 * Rules for how a page of ours stands around its listing, where the lens's own sheet says nothing.
 * @param font  families, the first that is there counts
 */
export function frameRules(font: string): Markup {
  return new Markup(`
  body {
    margin: 0 auto;
    max-width: 1240px;
    padding: 22px 20px 40px;
    background: light-dark(#fdfdf9, #121615);
    color: light-dark(#1d2b2e, #e8eeec);
    font: 15px/1.45 ${font};
  }
  h1 {
    margin: 0 0 16px;
    font-size: 28px;
    line-height: 1.15;
    letter-spacing: -0.01em;
  }
`);
}
