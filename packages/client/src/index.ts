import type { components } from './api.js';

export { Client, urlOf, type AnswerOf, type Method, type PartsOf, type PathsOf, type Sent } from './client.js';
export { ApiProblem, Unreachable } from './problem.js';

type Schemas = components['schemas'];
export type AboutView = Schemas['AboutView'];
export type CheckFinding = Schemas['CheckFinding'];
export type BroughtBack = Schemas['BroughtBack'];
export type DeletedView = Schemas['DeletedView'];
export type FieldPreview = Schemas['FieldPreview'];
export type FindingView = Schemas['FindingView'];
export type MendMade = Schemas['MendMade'];
export type MendView = Schemas['MendView'];
export type Match = Schemas['Match'];
export type JobStatus = Schemas['JobStatus'];
export type LensSummary = Schemas['LensSummary'];
export type LensView = Schemas['LensView'];
export type ReleaseView = Schemas['ReleaseView'];
export type PostList = Schemas['PostList'];
export type RunMade = Schemas['RunMade'];
export type RunView = Schemas['RunView'];
export type SourceSummary = Schemas['SourceSummary'];
export type SourceView = Schemas['SourceView'];
export type TermChangeView = Schemas['TermChangeView'];
export type TermEffect = Schemas['TermEffect'];
export type TermView = Schemas['TermView'];
