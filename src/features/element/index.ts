export { AboutPage } from './about-page';
export { DogsPage } from './dogs-page';
export { ElementRoom } from './element-room';
export { EvidencePage } from './evidence-page';
export { LadderPage } from './ladder-page';
export { RulePage } from './rule-page';
