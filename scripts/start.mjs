import { serve } from './serve.mjs';

const shared = process.argv.includes('--share');
const address = await serve({ database: 'data/horarium.db', shared });
console.log(`Horarium is open at ${address} (stop with Ctrl+C).`);
if (shared) console.log(`A tablet is let in at ${address}/notebooks/tablet`);
