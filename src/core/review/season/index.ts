export * from './events';
export * from './holes';
export * from './quotas';
export * from './scene';
