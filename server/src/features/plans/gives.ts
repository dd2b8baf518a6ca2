// What other features may ask of a class's plan.
export { planOf, savePlan } from './queries.js';
