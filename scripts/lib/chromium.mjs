// How this project starts Debian's Chromium: without its own network errands, and with no way out but loopback.
import { existsSync } from "node:fs";

/** Chromium without its window: the same pages in two thirds of the time. Where only the whole one is, that one is taken. */
const SHELL = "/usr/bin/chromium-headless-shell";
/** The package it comes in. */
export const CHROMIUM_PACKAGE = "chromium-headless-shell";
export const chromium = () => process.env.CHROMIUM ?? (existsSync(SHELL) ? SHELL : "/usr/bin/chromium");
export const CHROMIUM = chromium();
export const CHROMIUM_ARGS = [
  "--no-sandbox",
  "--disable-gpu",
  "--disable-dev-shm-usage",
  "--disable-background-networking",
  "--disable-component-update",
  "--disable-sync",
  "--no-first-run",
  // Letters are as wide as in a window.
  "--font-render-hinting=none",
  "--use-fake-device-for-media-stream",
  "--use-fake-ui-for-media-stream",
  "--proxy-server=127.0.0.1:9",
  "--proxy-bypass-list=127.0.0.1;localhost",
];
