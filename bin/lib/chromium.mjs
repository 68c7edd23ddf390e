import { existsSync } from 'node:fs';
import { installPackages } from './debian.mjs';
import { Unable } from './project.mjs';

const FILES = ['/usr/bin/chromium', '/usr/bin/chromedriver'];
const there = () => FILES.every((file) => existsSync(file));

/** Debian's Chromium and its driver, installed when missing. @throws Unable with the one command to run. */
export function ensureChromium() {
  if (there()) return;
  if (installPackages(['chromium', 'chromium-driver']) && there()) return;
  throw new Unable(
    'The browser tests need Chromium and its driver, which could not be installed. Run this, then test again:\n\n  sudo apt-get install -y chromium chromium-driver',
  );
}
