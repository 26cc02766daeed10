/** JSON Schemas by name: of the exported types of a module, and of every named type of ours they are made of. */
export function schemasOf(file: string, tsconfig: string): Record<string, object>;
