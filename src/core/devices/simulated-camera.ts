import { seeded } from './random.ts';

/** A head, or a shank that is not driven yet, as it lies before the simulated camera; inches from the middle of the view. */
export interface BeforeLens {
  number: number;
  alongIn: number;
  acrossIn: number;
  /** across the head, or the shank */
  diameterIn: number;
  driven: boolean;
}

/** A picture with what one must know of it. */
export interface SimulatedPicture {
  svg: string;
  widthPx: number;
  heightPx: number;
  /** the scale that lies on the sheet in the picture, in */
  scaleIn: number;
  standoffIn: number;
}

const WIDTH_PX = 960;
const HEIGHT_PX = 640;
const SCALE_IN = 0.5;
/** inches seen across, from one place to another on the rod */
const VIEW_IN = { least: 1.25, most: 1.45 };
const STANDOFF_IN = 2.5;
/** of a head over the sheet, as a share of what the rim may stand */
const RIM_HEIGHT_IN = 0.04;
const px = (value: number): string => value.toFixed(1);

/**
 * What a camera that does not exist sees: heads on a sheet, a little out of round and unevenly lit, with a scale of known
 * length beside them. The same seed makes the same picture.
 *
 * @param seed any whole number
 * @throws never
 */
export function simulatedPicture(seed: number, before: readonly BeforeLens[]): SimulatedPicture {
  const random = seeded(seed);
  const swing = () => 2 * random() - 1;
  const pxPerIn = WIDTH_PX / (VIEW_IN.least + (VIEW_IN.most - VIEW_IN.least) * random());
  const shift = { x: swing() * 20, y: swing() * 16 };
  const nearer = STANDOFF_IN / (STANDOFF_IN - RIM_HEIGHT_IN);
  const at = ({ alongIn, acrossIn }: BeforeLens) => ({
    x: WIDTH_PX / 2 + shift.x + alongIn * pxPerIn,
    y: HEIGHT_PX / 2 - 30 + shift.y + acrossIn * pxPerIn
  });
  const heads = before.map((one) => {
    const { x, y } = at(one);
    const r = (one.diameterIn / 2) * pxPerIn * (one.driven ? nearer : 1);
    const round = 1 + 0.012 * swing();
    const light = one.driven ? 'url(#head)' : 'url(#shank)';
    return [
      `<ellipse cx="${px(x + 7)}" cy="${px(y + 9)}" rx="${px(r * 1.02)}" ry="${px(r * 1.02)}" fill="#0007" filter="url(#soft)"/>`,
      `<ellipse cx="${px(x)}" cy="${px(y)}" rx="${px(r * round)}" ry="${px(r / round)}" fill="${light}" stroke="#3c3f3c" stroke-width="1.2"/>`,
      ...(one.driven
        ? [
            `<ellipse cx="${px(x)}" cy="${px(y)}" rx="${px(r * 0.8)}" ry="${px(r * 0.8)}" fill="none" stroke="#ffffff30" stroke-width="3"/>`
          ]
        : []),
      `<text x="${px(x)}" y="${px(y - r - 12)}" font-size="24" text-anchor="middle" fill="#1d2b50" font-family="sans-serif" opacity="0.85">${one.number}</text>`
    ].join('');
  });
  const scalePx = SCALE_IN * pxPerIn;
  const left = WIDTH_PX / 2 + shift.x - scalePx / 2 + swing() * 60;
  const top = HEIGHT_PX - 92 + swing() * 10;
  const ticks = Array.from({ length: 11 }, (_, tick) => {
    const x = left + (scalePx * tick) / 10;
    return `<path d="M${px(x)} ${px(top)}v${tick % 5 === 0 ? 34 : 20}" stroke="#222" stroke-width="2"/>`;
  });
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDTH_PX}" height="${HEIGHT_PX}" viewBox="0 0 ${WIDTH_PX} ${HEIGHT_PX}"><defs><radialGradient id="head" cx="0.38" cy="0.32"><stop offset="0" stop-color="#f1f1ea"/><stop offset="0.55" stop-color="#b9bab4"/><stop offset="1" stop-color="#6d6f6b"/></radialGradient><radialGradient id="shank" cx="0.4" cy="0.35"><stop offset="0" stop-color="#8f918c"/><stop offset="1" stop-color="#4a4c49"/></radialGradient><radialGradient id="lamp" cx="${px(0.5 + 0.1 * swing())}" cy="${px(0.45 + 0.1 * swing())}" r="0.75"><stop offset="0" stop-color="#a7b09a"/><stop offset="1" stop-color="#3d4239"/></radialGradient><filter id="soft"><feGaussianBlur stdDeviation="6"/></filter></defs><rect width="${WIDTH_PX}" height="${HEIGHT_PX}" fill="url(#lamp)"/>${heads.join('')}<rect x="${px(left)}" y="${px(top)}" width="${px(scalePx)}" height="44" fill="#e9e4d2" stroke="#222" stroke-width="1"/>${ticks.join('')}</svg>`;
  return {
    svg,
    widthPx: WIDTH_PX,
    heightPx: HEIGHT_PX,
    scaleIn: SCALE_IN,
    standoffIn: STANDOFF_IN
  };
}
