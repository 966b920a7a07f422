import { serve } from './serve.mjs';

const address = await serve({ database: 'data/horarium.db' });
console.log(`Horarium is open at ${address} (stop with Ctrl+C).`);
