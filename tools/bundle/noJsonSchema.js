/** What zod's schemas ask of their writer of JSON Schema, which is not used here (see metro.config.js). */
const none = () => () => {
  throw new Error('JSON Schema is left out of the application');
};

module.exports = { createToJSONSchemaMethod: none, createStandardJSONSchemaMethod: none };
