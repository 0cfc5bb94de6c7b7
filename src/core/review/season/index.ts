export * from './events';
export * from './holes';
