export * from './hand';
export * from './lettering';
