import Papa from 'papaparse';

/** A table as text. A name that begins like a formula must not run in whoever opens it. */
export const writeCsv = (
  fields: readonly string[],
  data: readonly Record<string, string | number | boolean>[]
): string =>
  `${Papa.unparse({ fields: [...fields], data: [...data] }, { escapeFormulae: /^[=+@\t\r]|^-(?![\d.])/ })}\r\n`;
