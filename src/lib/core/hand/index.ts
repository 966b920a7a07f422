export * from './coverage';
export * from './hand';
export * from './lettering';
export * from './measure-hand';
export * from './quote';
export * from './script';
