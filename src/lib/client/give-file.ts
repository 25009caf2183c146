/** Hands a file over to whoever is at the browser, as a link to it would. */
export function giveFile(name: string, content: Blob): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(content);
  link.download = name;
  link.click();
  URL.revokeObjectURL(link.href);
}

/** As JSON text. */
export const giveJson = (name: string, ...texts: string[]): void =>
  giveFile(name, new Blob([texts.join('\n')], { type: 'application/json' }));
