export * from './binomial';
export * from './describe';
export * from './gamma';
export * from './logistic';
export * from './matrix';
