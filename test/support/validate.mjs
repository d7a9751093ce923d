// Holds files against a schema, by a validator that is not ours: node validate.mjs SCHEMA FILE… prints what is wrong.
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';

const require = createRequire(new URL('../../web/package.json', import.meta.url));
const { default: Ajv } = require('@redocly/ajv/dist/2020.js');
const [schema, ...files] = process.argv.slice(2).map((file) => JSON.parse(readFileSync(file, 'utf8')));
const check = new Ajv({ strict: false, allErrors: true, validateFormats: false }).compile(schema);
const wrong = files.flatMap((file) => (check(file) ? [] : check.errors));
console.log(JSON.stringify([...new Set(wrong.map((one) => `${one.instancePath.replaceAll(/\d+/g, 'N')} ${one.message} ${JSON.stringify(one.params)}`))]));
