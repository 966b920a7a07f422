import { serve } from './serve.mjs';

const shared = process.argv.includes('--share');
const address = await serve({ database: 'data/demo.db', demo: true, shared });
console.log(`Horarium with the demo month is open at ${address} (stop with Ctrl+C).`);
