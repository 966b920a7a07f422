export * from './lettering-size';
export * from './sheets';
