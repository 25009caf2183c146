/** @returns the address the start script handed over */
export function databaseUrl(): string {
  const url = process.env['DATABASE_URL'];
  if (url === undefined || url === '')
    throw new Error('DATABASE_URL is not set: run this through ./zanjador');
  return url;
}
