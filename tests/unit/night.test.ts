import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';

const css = readFileSync('src/app.css', 'utf8');
/** The colors of a theme, by their names. */
const theme = (selector: string): Map<string, string> => {
  const from = css.indexOf(selector);
  const block = css.slice(from, css.indexOf('}', from));
  return new Map(
    [...block.matchAll(/--([\w-]+):\s*(#[0-9a-f]{6})/g)].map(([, name, hex]) => [
      name ?? '',
      hex ?? ''
    ])
  );
};

/** Relative luminance as WCAG 2 defines it. */
function luminance(hex: string): number {
  const [r = 0, g = 0, b = 0] = [1, 3, 5].map((at) => {
    const share = parseInt(hex.slice(at, at + 2), 16) / 255;
    return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
  });
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}
const contrast = (a: string, b: string): number => {
  const [light, dark] = [luminance(a), luminance(b)].sort((one, other) => other - one);
  return ((light ?? 0) + 0.05) / ((dark ?? 0) + 0.05);
};

const METALS = ['metal-light', 'metal', 'metal-dark'];

describe('writing on drawn metal', () => {
  it('measures contrast as the standard does', () => {
    expect(contrast('#000000', '#ffffff')).toBeCloseTo(21, 6);
    expect(contrast('#777777', '#ffffff')).toBeCloseTo(4.48, 2);
  });

  it.each(['ink', 'ink-soft', 'dye', 'amber', 'brick', 'olive-deep'])(
    'in %s can be read at night',
    (color) => {
      const night = theme("[data-mode='dark'] {");
      for (const metal of METALS)
        expect(
          contrast(night.get(color) ?? '', night.get(metal) ?? ''),
          `${color} on ${metal}`
        ).toBeGreaterThanOrEqual(4.5);
    }
  );

  it.each(['ink', 'dye'])('in %s can be read by day', (color) => {
    const day = theme(':root {');
    for (const metal of METALS)
      expect(
        contrast(day.get(color) ?? '', day.get(metal) ?? ''),
        `${color} on ${metal}`
      ).toBeGreaterThanOrEqual(4.5);
  });
});
