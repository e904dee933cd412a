/** What is made from the API document for the screens: types, and a parser for every answer. `bin/contract` runs it. */
export default {
  input: process.env.CONTRACT_DOCUMENT ?? 'docs/api/openapi.json',
  output: { path: process.env.CONTRACT_OUT ?? 'resources/js/api/contract', entryFile: true },
  plugins: [
    { name: '@hey-api/typescript', enums: false },
    {
      name: 'zod',
      // The small build of the same parsers: every page makes all of them before it draws anything.
      compatibilityVersion: 'mini',
      requests: false,
      responses: true,
      definitions: { name: 'z{{name}}' },
    },
  ],
};
