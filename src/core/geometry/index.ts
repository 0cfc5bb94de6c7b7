export * from './danger';
export * from './earth';
export * from './picture';
export * from './plane';
export * from './scent';
export * from './shapes';
export * from './tracks';
