/** A colour by what it stands for, as the page names it. */
export type Tone =
  | 'ink'
  | 'ink-soft'
  | 'line-strong'
  | 'paper'
  | 'panel'
  | 'on-olive'
  | `${'dye' | 'olive' | 'amber' | 'brick'}${'' | '-soft'}`
  | 'olive-deep'
  | 'olive-fill'
  | `${'amber' | 'brick'}-line`;

/** One path of a mark, about its middle; px. */
export interface Stroke {
  d: string;
  fill?: Tone;
  line?: Tone;
  width?: number;
  dash?: string;
}

/** A mark, drawn path upon path: told by its shape, not by colour alone. Svg and canvas draw the same. */
export type Glyph = readonly Stroke[];

/** What svg and canvas both read: figures of a path, to a hundredth of a pixel. */
export const path = (parts: TemplateStringsArray, ...figures: number[]): string =>
  parts.reduce((said, part, at) => said + String(+(figures[at - 1] ?? 0).toFixed(2)) + part);

export const circle = (r: number): string =>
  path`M${r} 0A${r} ${r} 0 1 1 ${-r} 0A${r} ${r} 0 1 1 ${r} 0Z`;
/** A square on its side, or on its corner. */
export const square = (r: number): string => path`M${-r} ${-r}H${r}V${r}H${-r}Z`;
export const diamond = (r: number): string => path`M0 ${-r}L${r} 0L0 ${r}L${-r} 0Z`;
