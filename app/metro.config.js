const { join } = require('node:path');
const { getDefaultConfig } = require('expo/metro-config');

const config = getDefaultConfig(__dirname);

/** Parts of the router that no screen here uses: its stacks, tabs and headers, and the pages it shows to developers. */
const unused = /\/(createNativeStackNavigator|stack-utils|bottom-tabs|Tabs|experimental-stack|Sitemap|Toast)$/;
const inRouter = /[\\/]expo-router[\\/]build[\\/]/;
const nothing = join(__dirname, 'nothing.js');

/** In the place of Paper's touchable: ours, which says states as the web says them. */
const inPaper = /[\\/]react-native-paper[\\/]lib[\\/]/;
const touchable = join(__dirname, 'src', 'ui', 'touchable.tsx');

/** Every kilobyte of the first screen is waited for, so what is not used stays out. */
config.resolver.resolveRequest = (context, name, platform) => {
  if (inRouter.test(context.originModulePath) && unused.test(name)) return { type: 'sourceFile', filePath: nothing };
  if (inPaper.test(context.originModulePath) && /^\.{1,2}\/.*TouchableRipple$/.test(name))
    return { type: 'sourceFile', filePath: touchable };
  return context.resolveRequest(context, name, platform);
};

module.exports = config;
