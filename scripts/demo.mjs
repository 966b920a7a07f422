import { serve } from './serve.mjs';

const address = await serve({ database: 'data/demo.db', demo: true });
console.log(`Horarium with the demo month is open at ${address} (stop with Ctrl+C).`);
