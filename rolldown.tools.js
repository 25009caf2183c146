import { readdirSync } from 'node:fs';
import { defineConfig } from 'rolldown';

const scripts = readdirSync('scripts', { recursive: true, encoding: 'utf8' })
  .filter((file) => file.endsWith('.ts'))
  .map((file) => `scripts/${file}`);

/** The commands and what they run beside them, file by file, for plain node. Types are checked by the tests. */
export default defineConfig({
  input: [...scripts, 'src/lib/server/heavy/tasks.ts'],
  platform: 'node',
  tsconfig: 'tsconfig.tools.json',
  // packages stay packages
  external: /^[^./]/,
  output: { dir: '.build', format: 'esm', preserveModules: true, preserveModulesRoot: '.' }
});
