import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

/** The cluster that is killed: its folder, its port, its owner's address. */
export interface Cluster {
  folder: string;
  port: string;
  url: string;
}

/** As ./zanjador soak hands it over. */
export function clusterOfSoak(): Cluster {
  const {
    ZANJADOR_SOAK_FOLDER: folder,
    ZANJADOR_DB_PORT: port,
    ZANJADOR_SOAK_URL: url
  } = process.env;
  if (!folder || !port || !url) throw new Error('run this through ./zanjador soak');
  return { folder, port, url };
}

/** The process and whatever it started; a backend is its server's child. */
function family(pid: number): number[] {
  const children = readdirSync('/proc').flatMap((name) => {
    if (!/^\d+$/.test(name)) return [];
    try {
      // pid (name) state ppid …: the name may hold spaces
      const stat = readFileSync(`/proc/${name}/stat`, 'utf8');
      const parent = Number(stat.slice(stat.lastIndexOf(')') + 2).split(' ')[1]);
      return parent === pid ? [Number(name)] : [];
    } catch {
      return [];
    }
  });
  return [pid, ...children];
}

/** Ends the database server and all of its processes at once, as a power cut would. */
export function killCluster({ folder }: Cluster): void {
  const pid = Number(readFileSync(join(folder, 'postmaster.pid'), 'utf8').split('\n')[0]);
  for (const one of family(pid))
    try {
      process.kill(one, 'SIGKILL');
    } catch {
      // gone with its server
    }
}

/** Starts it again where it was. */
export async function startCluster({ port }: Cluster): Promise<void> {
  const child = spawn('bash', ['zanjador', 'soak-database'], {
    env: { ...process.env, ZANJADOR_DB_PORT: port },
    stdio: ['ignore', 'ignore', 'pipe']
  });
  let said = '';
  child.stderr.on('data', (data: Buffer) => (said += data.toString()));
  const [code] = (await once(child, 'close')) as [number | null];
  if (code !== 0) throw new Error(`the database did not start again: ${said}`);
}
