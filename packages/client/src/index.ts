import type { components } from './api.js';

export { Client, urlOf, type AnswerOf, type Method, type PartsOf, type PathsOf, type Sent } from './client.js';
export { ApiProblem, Unreachable } from './problem.js';

type Schemas = components['schemas'];
export type AboutView = Schemas['AboutView'];
export type CheckFinding = Schemas['CheckFinding'];
export type FieldPreview = Schemas['FieldPreview'];
export type FindingView = Schemas['FindingView'];
export type MendMade = Schemas['MendMade'];
export type MendView = Schemas['MendView'];
export type Match = Schemas['Match'];
export type JobStatus = Schemas['JobStatus'];
export type LensSummary = Schemas['LensSummary'];
export type LensView = Schemas['LensView'];
export type ReleaseView = Schemas['ReleaseView'];
export type SourceSummary = Schemas['SourceSummary'];
export type SourceView = Schemas['SourceView'];
export type TermView = Schemas['TermView'];
