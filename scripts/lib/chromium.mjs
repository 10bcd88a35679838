// How this project starts Debian's Chromium: without its own network errands, and with no way out but loopback.
export const CHROMIUM = process.env.CHROMIUM ?? "/usr/bin/chromium";
export const CHROMIUM_ARGS = [
  "--no-sandbox",
  "--disable-gpu",
  "--disable-dev-shm-usage",
  "--disable-background-networking",
  "--disable-component-update",
  "--disable-sync",
  "--no-first-run",
  "--use-fake-device-for-media-stream",
  "--use-fake-ui-for-media-stream",
  "--proxy-server=127.0.0.1:9",
  "--proxy-bypass-list=127.0.0.1;localhost",
];
