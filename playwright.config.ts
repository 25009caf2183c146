import { defineConfig } from '@playwright/test';

export default defineConfig({
  testDir: 'tests/e2e',
  // two cores; each has an application and a database of its own
  workers: 2,
  retries: 0,
  forbidOnly: true,
  // a busy machine slows tests rather than failing them
  timeout: 240_000,
  expect: { timeout: 30_000 },
  reporter: 'list',
  use: {
    browserName: 'chromium',
    viewport: { width: 1280, height: 800 },
    // tests look at the server's own answers; what a browser keeps is the matter of offline.spec.ts
    serviceWorkers: 'block',
    // what moves is drawn over and over, and has no say in what is tested
    contextOptions: { reducedMotion: 'reduce' },
    launchOptions: {
      executablePath: '/usr/bin/chromium-headless-shell',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        // letters as wide as a desktop draws them
        '--font-render-hinting=slight',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync'
      ]
    }
  }
});
