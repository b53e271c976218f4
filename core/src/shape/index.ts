export { boardFrom, boardIssues, type Issue } from './issues.ts';
export { sectionAt, type Shape, shapeOf } from './shape.ts';
export { curveTroubles, hollowsOf } from './troubles.ts';
