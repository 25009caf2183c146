const DECIMAL = /^[+\-−]?(\d+\.?\d*|\.\d+)$/;
const FRACTION = /^[+\-−]?(\d+[ \-‐‑]+)?\d+ ?\/ ?\d+$/;
/** What stands between the figures of a list; kept as it is typed. */
const BETWEEN = /([;\n]+|,\s*)/;

/** Whether a text is a figure that says no unit: inches, wherever it is stored. */
export const isBare = (text: string): boolean =>
  DECIMAL.test(text.trim()) || FRACTION.test(text.trim());

/**
 * What somebody types who works in millimeters, with its unit: stored text never leaves it to whoever reads it. A decimal is
 * millimeters, a fraction is what only inches have.
 *
 * @param text one figure or a list of them; what is no bare figure stays as it is
 */
export const carryUnit = (text: string): string =>
  text
    .split(BETWEEN)
    .map((one) => {
      const figure = one.trim();
      if (!isBare(figure)) return one;
      return one.replace(figure, `${figure} ${DECIMAL.test(figure) ? 'mm' : 'in'}`);
    })
    .join('');

/** A stored text as it is shown to them: bare figures are inches, and say so. */
export const sayInches = (text: string): string =>
  text
    .split(BETWEEN)
    .map((one) => (isBare(one) ? one.replace(one.trim(), `${one.trim()} in`) : one))
    .join('');
