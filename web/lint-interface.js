// Holds the description of the interface to the recommended rules of a linter for OpenAPI.
import { formatProblems, getTotals, lint, loadConfig } from '@redocly/openapi-core';

const config = await loadConfig({ configPath: 'redocly.yaml' });
const problems = await lint({ ref: '../app/http/openapi.yaml', config });
const totals = getTotals(problems);
if (problems.length) formatProblems(problems, { format: 'stylish', totals, version: '' });
process.exitCode = totals.errors + totals.warnings > 0 ? 1 : 0;
