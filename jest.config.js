const ofTypeScript = {
  '^.+\\.ts$': [
    '@swc/jest',
    {
      swcrc: false,
      module: { type: 'es6' },
      jsc: {
        target: 'es2022',
        parser: { syntax: 'typescript', decorators: true },
        transform: { legacyDecorator: true, useDefineForClassFields: false },
      },
    },
  ],
};

/** Jest as ES modules, straight from the sources; `npm test` sets NODE_OPTIONS=--experimental-vm-modules. */
const project = (name, extra = {}) => ({
  displayName: name,
  rootDir: `./${name}`,
  testMatch: ['<rootDir>/test/**/*.test.ts'],
  extensionsToTreatAsEsm: ['.ts'],
  testEnvironmentOptions: { customExportConditions: ['@fair-gable/source', 'node'] },
  transform: ofTypeScript,
  ...extra,
});

// A machine that does other things beside is slow, not wrong: nothing here is a timed test.
export default {
  testTimeout: 300_000,
  projects: [
    project('core'),
    project('server', { globalSetup: '<rootDir>/test/each-run.mjs' }),
    project('web', {
      extensionsToTreatAsEsm: ['.ts', '.vue'],
      moduleFileExtensions: ['js', 'mjs', 'ts', 'json', 'vue'],
      transform: { ...ofTypeScript, '^.+\\.vue$': '<rootDir>/test/as-vue.mjs' },
    }),
    project('tools'),
  ],
};
