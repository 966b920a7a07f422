import { ensureInstalled, runBin } from './lib.mjs';

ensureInstalled();
process.env.HORARIUM_DB ??= 'data/dev.db';
process.env.HORARIUM_DEMO ??= '1';
runBin('vite', ['dev', '--host', '127.0.0.1']);
