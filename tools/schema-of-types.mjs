// JSON Schemas (2020-12) of TypeScript types, by the compiler's own checker: what the types say, worked out to the end.
import ts from 'typescript';

/**
 * @param file      a module whose exported types are wanted
 * @param tsconfig  path of the project's settings
 * @returns schemas by name: the exported types, and every named type of ours they are made of
 */
export function schemasOf(file, tsconfig) {
  const host = { ...ts.sys, onUnRecoverableConfigFileDiagnostic: (problem) => fail(problem.messageText) };
  const { options } = ts.getParsedCommandLineOfConfigFile(tsconfig, {}, host);
  const program = ts.createProgram([file], { ...options, noEmit: true });
  const checker = program.getTypeChecker();
  const source = program.getSourceFile(file) ?? fail(`${file} is not there`);
  const walk = new Walk(checker);
  const exported = checker.getExportsOfModule(checker.getSymbolAtLocation(source)).map((one) => {
    const symbol = one.flags & ts.SymbolFlags.Alias ? checker.getAliasedSymbol(one) : one;
    return { name: one.name, symbol, type: checker.getDeclaredTypeOfSymbol(symbol) };
  });
  for (const { name, type, symbol } of exported) walk.exported.set(type, { name, symbol });
  for (const { name, type, symbol } of exported) walk.named(name, type, symbol);
  return Object.fromEntries(Object.entries(walk.schemas).sort(([a], [b]) => (a < b ? -1 : 1)));
}

class Walk {
  schemas = {};
  /** Types that are told under a name, whatever they are made of. */
  exported = new Map();
  /** Which type stands under a name: two of one name would be taken for each other. */
  #types = new Map();

  constructor(checker) {
    this.checker = checker;
  }

  /** A reference to a type that stands under a name of its own. */
  named(name, type, symbol) {
    const known = this.#types.get(name);
    if (known && known !== type) fail(`Two types are called ${name}. Rename one of them.`);
    if (!known) {
      this.#types.set(name, type);
      this.schemas[name] = {};
      const description = this.#wordsOf(symbol);
      this.schemas[name] = { ...(description && { description }), ...this.#parts(type) };
    }
    return { $ref: `#/components/schemas/${name}` };
  }

  #schema(type) {
    const known = this.exported.get(type);
    if (known) return this.named(known.name, type, known.symbol);
    const symbol = this.#nameOf(type);
    return symbol ? this.named(symbol.name, type, symbol) : this.#parts(type);
  }

  /** The symbol of a type that has a name of its own: an exported interface, class or alias of this project, not generic. */
  #nameOf(type) {
    if (type.flags & (ts.TypeFlags.StringLike | ts.TypeFlags.NumberLike | ts.TypeFlags.BooleanLike)) return undefined;
    if (type.aliasSymbol) return type.aliasTypeArguments || !isOurs(type.aliasSymbol) ? undefined : type.aliasSymbol;
    const { symbol } = type;
    if (!symbol || !(symbol.flags & (ts.SymbolFlags.Interface | ts.SymbolFlags.Class))) return undefined;
    return this.checker.getTypeArguments?.(type)?.length > 0 || !isOurs(symbol) ? undefined : symbol;
  }

  #parts(type) {
    const { flags } = type;
    if (flags & (ts.TypeFlags.Any | ts.TypeFlags.Unknown)) return {};
    if (flags & ts.TypeFlags.Null) return { type: 'null' };
    if (flags & ts.TypeFlags.BooleanLiteral) return { const: this.checker.typeToString(type) === 'true' };
    if (flags & (ts.TypeFlags.StringLiteral | ts.TypeFlags.NumberLiteral)) return { const: type.value };
    if (flags & ts.TypeFlags.String) return { type: 'string' };
    if (flags & ts.TypeFlags.Number) return { type: 'number' };
    if (flags & ts.TypeFlags.Boolean) return { type: 'boolean' };
    if (flags & ts.TypeFlags.TemplateLiteral) return { type: 'string' };
    if (type.isUnion()) return this.#union(type.types.filter((one) => !(one.flags & ts.TypeFlags.Undefined)));
    if (this.checker.isTupleType(type)) return this.#tuple(type);
    if (this.checker.isArrayType(type)) {
      return { type: 'array', items: this.#schema(this.checker.getTypeArguments(type)[0]) };
    }
    if (flags & (ts.TypeFlags.Object | ts.TypeFlags.Intersection | ts.TypeFlags.NonPrimitive))
      return this.#object(type);
    return fail(`No schema for ${this.checker.typeToString(type)}.`);
  }

  #union(types) {
    if (types.length === 1) return this.#schema(types[0]);
    const isLiteral = (one) => one.flags & (ts.TypeFlags.StringLiteral | ts.TypeFlags.NumberLiteral);
    const isYesNo = (one) => one.flags & ts.TypeFlags.BooleanLiteral;
    const literals = types.filter(isLiteral).map((one) => one.value);
    const rest = types.filter((one) => !isLiteral(one) && !isYesNo(one));
    const choices = rest.map((one) => this.#schema(one));
    const yesNo = types.filter(isYesNo);
    if (yesNo.length === 2) choices.push({ type: 'boolean' });
    else for (const one of yesNo) choices.push(this.#parts(one));
    if (literals.length > 0) choices.push(literals.length === 1 ? { const: literals[0] } : { enum: literals.sort() });
    if (choices.length === 1) return choices[0];
    // a plain type that may be null is said in one
    const plain = choices.filter((one) => Object.keys(one).length === 1 && typeof one.type === 'string');
    if (plain.length === choices.length) return { type: plain.map((one) => one.type) };
    return { anyOf: choices };
  }

  #tuple(type) {
    const types = this.checker.getTypeArguments(type);
    const { minLength } = type.target;
    const prefixItems = types.map((one) => this.#schema(one));
    return { type: 'array', prefixItems, minItems: minLength, items: false };
  }

  #object(type) {
    const properties = {};
    const required = [];
    for (const property of this.checker.getPropertiesOfType(type)) {
      const of = this.checker.getTypeOfSymbol(property);
      const description = this.#wordsOf(property);
      const isOptional = (property.flags & ts.SymbolFlags.Optional) !== 0 || mayBeUndefined(of);
      properties[property.name] = { ...(description && { description }), ...this.#schema(of) };
      if (!isOptional) required.push(property.name);
    }
    const others = this.checker.getIndexInfosOfType(type)[0];
    return {
      type: 'object',
      ...(Object.keys(properties).length > 0 && { properties }),
      ...(required.length > 0 && { required }),
      ...(others
        ? { additionalProperties: this.#schema(others.type) }
        : Object.keys(properties).length > 0 && { additionalProperties: false }),
    };
  }

  #wordsOf(symbol) {
    return ts.displayPartsToString(symbol?.getDocumentationComment(this.checker) ?? []).replace(/\s+/g, ' ');
  }
}

function mayBeUndefined(type) {
  return type.isUnion() && type.types.some((one) => one.flags & ts.TypeFlags.Undefined);
}

/** Whether something is declared in this project, and told to other files. */
function isOurs(symbol) {
  return (symbol.declarations ?? []).some(
    (one) =>
      !one.getSourceFile().fileName.includes('/node_modules/') &&
      (ts.getCombinedModifierFlags(one) & ts.ModifierFlags.Export) !== 0,
  );
}

function fail(words) {
  throw new Error(String(words));
}
