import { transformSync } from '@swc/core';
import { compileScript, parse } from 'vue/compiler-sfc';

/** A component as Jest runs it: its script with its template compiled in; styles say nothing to a test. */
export default {
  process(source, filename) {
    const { descriptor, errors } = parse(source, { filename });
    if (errors.length > 0) throw errors[0];
    const { content } = compileScript(descriptor, { id: filename, inlineTemplate: true });
    return transformSync(content, {
      filename,
      swcrc: false,
      sourceMaps: 'inline',
      module: { type: 'es6' },
      jsc: { target: 'es2022', parser: { syntax: 'typescript' } },
    });
  },
};
