import { dirname } from 'node:path';
import { fileURLToPath } from 'node:url';
import { rolldown } from 'rolldown';

/** The server's own entry files, as adapter-node ships them. */
const FILES = `${dirname(fileURLToPath(import.meta.resolve('@sveltejs/adapter-node')))}/files`;

/**
 * What adapter-node makes, without its second bundling: Vite has bundled the server already, so only the entry file is,
 * and that by the bundler at hand (docs/dependencies.md).
 *
 * @param {{ out: string }} options where the built application goes
 * @returns {import('@sveltejs/kit').Adapter}
 */
export const nodeAdapter = ({ out }) => ({
  name: 'zanjador-node',
  supports: { read: () => true },
  async adapt(builder) {
    builder.rimraf(out);
    builder.writeClient(`${out}/client`);
    builder.writePrerendered(`${out}/prerendered`);
    builder.writeServer(`${out}/server`);
    const entries = builder.getBuildDirectory('node-entries');
    builder.rimraf(entries);
    builder.copy(FILES, entries, {
      replace: {
        BASE: JSON.stringify(builder.config.kit.paths.base),
        ENV_PREFIX: JSON.stringify(''),
        PRECOMPRESS: 'true',
        PRERENDERED: `new Set(${JSON.stringify(builder.prerendered.paths)})`
      }
    });
    const entry = await rolldown({
      input: { handler: `${entries}/handler.js` },
      platform: 'node',
      external: ['./server/index.js', './server/manifest.js'],
      plugins: [
        {
          name: 'built-server',
          resolveId: (id) =>
            id === 'SERVER'
              ? { id: './server/index.js', external: 'relative' }
              : id === 'MANIFEST'
                ? { id: './server/manifest.js', external: 'relative' }
                : null
        }
      ]
    });
    await Promise.all([
      builder.compress(`${out}/client`),
      builder.compress(`${out}/prerendered`),
      entry.write({ dir: out, format: 'esm' })
    ]);
  }
});
