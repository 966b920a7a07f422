export * from './cut';
export * from './removed';
export * from './usable';
export * from './opening';
export * from './cut-lines';
export * from './fault';
export * from './advice';
export * from './order';
