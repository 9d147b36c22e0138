const path = require('node:path');
const { getDefaultConfig } = require('expo/metro-config');
const { version: directImports } = require('./scripts/direct-imports');
const { isUnused, slimFor } = require('./scripts/unused-parts');
const { usedExports } = require('./scripts/used-exports');

// Made before the files are counted.
usedExports('fflate');

const config = getDefaultConfig(__dirname);

// The solver's module form asks for import.meta.url, which a worker of ours does not have: its other form is taken.
const HIGHS = path.join(__dirname, 'node_modules/highs/build/highs.js');
// What it asks Node for is only reached on Node.
const NODE_ONLY = new Set(['fs', 'path', 'crypto', 'node:fs', 'node:path', 'node:crypto']);

config.resolver.resolveRequest = (context, name, platform) => {
  if (name === 'highs') return { type: 'sourceFile', filePath: HIGHS };
  if (context.originModulePath === HIGHS && NODE_ONLY.has(name)) return { type: 'empty' };
  const slim = slimFor(context.originModulePath, name) ?? usedExports(name);
  if (slim) return { type: 'sourceFile', filePath: slim };
  const found = context.resolveRequest(context, name, platform);
  return found.type === 'sourceFile' && isUnused(found.filePath) ? { type: 'empty' } : found;
};

// Imports are made straight by what the indexes of folders say: another build follows from other indexes.
config.cacheVersion = directImports();

module.exports = config;
