export * from './squares';
export * from './notebook';
export * from './presets';
