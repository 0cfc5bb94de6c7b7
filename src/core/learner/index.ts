export { chanceOf, performRep, type RepConditions, restFor, type Skill, type Temperament } from './simulated-dog';
