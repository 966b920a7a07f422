export * from './pages/lettering-size';
export * from './pages/sheets';
