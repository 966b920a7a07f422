export * from './lettering-size';
