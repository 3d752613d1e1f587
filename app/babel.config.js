const icons = require('@mdi/js');

/** Jest cannot load a piece later on: it is required when it is asked for. */
const inTests = ['@babel/plugin-transform-dynamic-import'];
const inProduction = ['react-native-paper/babel', iconsWhereUsed];

module.exports = function configure(api) {
  api.cache.using(() => process.env.NODE_ENV);
  const { NODE_ENV } = process.env;
  return {
    presets: ['babel-preset-expo'],
    plugins: NODE_ENV === 'production' ? inProduction : NODE_ENV === 'test' ? inTests : [],
  };
};

/**
 * A plugin that puts each icon where it is used: `import { mdiCheck } from '@mdi/js'` becomes `const mdiCheck = 'M21,7L…'`.
 * The icons are one file, which would come whole before the first screen.
 */
function iconsWhereUsed({ types }) {
  const constantOf = ({ imported, local }) => {
    const path = icons[imported.name];
    if (path === undefined) throw new Error(`There is no icon ${imported.name}.`);
    return types.variableDeclarator(types.identifier(local.name), types.stringLiteral(path));
  };
  return {
    visitor: {
      ImportDeclaration(path) {
        if (path.node.source.value !== '@mdi/js') return;
        path.replaceWith(types.variableDeclaration('const', path.node.specifiers.map(constantOf)));
      },
    },
  };
}
