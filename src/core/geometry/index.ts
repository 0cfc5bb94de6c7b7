export * from './danger';
export * from './earth';
export * from './plane';
export * from './scent';
export * from './shapes';
