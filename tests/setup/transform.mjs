import swc from '@swc/jest'

/**
 * Built-in objects that tests do not replace. Where a test runs, the global object is guarded: looked up there at every
 * step, they take more time than all else in whatever reckons much. Each module names them once instead.
 */
const BUILT_IN = [
  ...['Array', 'Boolean', 'JSON', 'Map', 'Math', 'Number', 'Object', 'RegExp', 'Set', 'String', 'Symbol', 'WeakMap'],
  ...['Float32Array', 'Float64Array', 'Int32Array', 'Uint16Array', 'Uint32Array', 'Uint8Array'],
]
const STRICT = '"use strict";'

/** What `@swc/jest` makes of a module, with the built-in objects it uses named at its beginning. */
function named(code) {
  const used = BUILT_IN.filter(
    name =>
      new RegExp(`(?<![\\w$.])${name}(?![\\w$])`, 'u').test(code) &&
      // One that is called so itself keeps its own.
      !new RegExp(`\\b(?:var|let|const|function|class)\\s+${name}\\b`, 'u').test(code),
  )
  if (!used.length || !code.startsWith(STRICT)) return code
  return `${STRICT} const { ${used.join(', ')} } = globalThis;${code.slice(STRICT.length)}`
}

export default {
  createTransformer(options) {
    const inner = swc.createTransformer(options)
    return {
      ...inner,
      process(...given) {
        const made = inner.process(...given)
        return { ...made, code: named(made.code) }
      },
      getCacheKey: (...given) => `named-1-${inner.getCacheKey(...given)}`,
    }
  },
}
