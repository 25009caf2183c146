/** Where nothing is: only the path of an address made with it is looked at. */
const HERE = 'http://here.invalid';

/**
 * Only a path of this application: a link must not lead off to another site, however it is written. Read as a browser reads
 * it, which drops tabs and line breaks and takes `\` for `/`.
 *
 * @returns the path with its search, as it is safe to send; `/` for anything else
 */
export function ownPath(path: string | null): string {
  if (path === null || !path.startsWith('/') || !URL.canParse(path, HERE)) return '/';
  const { origin, pathname, search } = new URL(path, HERE);
  // a path of two slashes would be read as another site’s name when it is sent
  return origin === HERE && !pathname.startsWith('//') ? pathname + search : '/';
}
