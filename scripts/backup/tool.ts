import { databaseUrl } from '../database-url.ts';

/** How PostgreSQL's own tools are run: where they are, and what they are told by the environment, never by arguments. */
export function toolEnvironment(): { bin: string; env: NodeJS.ProcessEnv } {
  const bin = process.env['ZANJADOR_PG'];
  if (!bin) throw new Error('ZANJADOR_PG does not say where PostgreSQL’s tools are');
  const { hostname, port, username, password, pathname } = new URL(databaseUrl());
  return {
    bin,
    env: {
      PATH: process.env['PATH'],
      PGHOST: hostname,
      PGPORT: port,
      PGUSER: username,
      PGPASSWORD: decodeURIComponent(password),
      PGDATABASE: pathname.slice(1)
    }
  };
}
