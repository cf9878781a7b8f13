import {defineConfig} from '@playwright/test'

export default defineConfig({
  testDir: 'tests/Browser',
  outputDir: process.env.MARGIN_RESULTS ?? 'tests/Browser/results',
  workers: 1,
  timeout: 60_000,
  reporter: [['list'], ['junit']],
  use: {
    baseURL: process.env.MARGIN_URL ?? 'http://127.0.0.1:8080',
    viewport: {width: 1280, height: 800},
    locale: 'en-GB',
    timezoneId: 'Europe/London',
    // What is still fading in when a test looks at it would be measured in colours that nobody reads.
    contextOptions: {reducedMotion: 'reduce'},
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: ['--no-sandbox', '--disable-background-networking', '--disable-component-update', '--disable-sync'],
    },
  },
})
