const { join } = require('node:path');
const { getDefaultConfig } = require('expo/metro-config');

const config = getDefaultConfig(__dirname);

/** Parts of the router that no screen here uses: its stacks, tabs and headers, and the pages it shows to developers. */
const unused = /\/(createNativeStackNavigator|stack-utils|bottom-tabs|Tabs|experimental-stack|Sitemap|Toast)$/;
const inRouter = /[\\/]expo-router[\\/]build[\\/]/;
const nothing = join(__dirname, 'nothing.js');

/** Every kilobyte of the first screen is waited for, so what is not used stays out. */
config.resolver.resolveRequest = (context, name, platform) =>
  inRouter.test(context.originModulePath) && unused.test(name)
    ? { type: 'sourceFile', filePath: nothing }
    : context.resolveRequest(context, name, platform);

module.exports = config;
