/** What stages were called in addresses before: printed codes, bookmarks and kept entries go on working. */
const OLDER: Readonly<Record<string, string>> = {
  carry: 'size',
  'lay-out': 'layout',
  stack: 'stack-up',
  'make-ready': 'prepare',
  check: 'inspect'
};
const STAGE = /^(\/joints\/[^/]+\/)([a-z-]+)$/;

/** The address that an older one of a stage stands for; null where it is none. */
export function presentAddress(path: string): string | null {
  const [, joint, stage] = STAGE.exec(path) ?? [];
  const now = stage !== undefined && Object.hasOwn(OLDER, stage) ? OLDER[stage] : undefined;
  return joint === undefined || now === undefined ? null : `${joint}${now}`;
}
