export * from './plan-document';
export { notebookSchema, gridFault, lastPage } from './notebook-schema';
export { wishSchema } from './wish-schema';
export { jsonSchema } from './json-schema';
export * from './run-document';
export { mostImportBytes, readPlanFile, type PlanFile } from './plan-file';
export { flag, measure, missing, oneOf, record, whole, words } from './rules';
export { drawnSchema } from './drawn-schema';
export { cutsFault, cutsSchema } from './cut-schema';
