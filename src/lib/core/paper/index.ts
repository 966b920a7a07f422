export * from './squares';
export * from './clearance';
export * from './notebook';
export * from './presets';
export * from './measure';
export * from './paper-hints';
export * from './forecast';
export * from './printer';
