const { basename, join } = require('node:path');
const { getDefaultConfig } = require('expo/metro-config');
// A test holds that each of these names is one of theirs.
const { insidePaper, unusedAnimated, unusedInRouter, unusedNative } = require('./stand-ins.json');

const config = getDefaultConfig(__dirname);

/** A path that ends with one of these names. */
const oneOf = (names) => new RegExp(`/(${names.join('|')})$`);
/** Parts of the router that no screen here uses: stacks, tabs, drawers and headers, previews of links, its page for what failed, its pages for developers. */
const ofRouter = oneOf(unusedInRouter);
/** Animated lists and pictures, and what stands in for all of it in tests. */
const ofAnimated = oneOf(unusedAnimated);
/** Parts of React Native that nothing here uses, though its own index names them. */
const ofNative = oneOf(unusedNative);
const screens = /^react-native-screens/;
const inRouter = /[\\/]expo-router[\\/]build[\\/]/;
const inAnimated = /[\\/]react-native-web[\\/]dist[\\/]vendor[\\/]react-native[\\/]Animated[\\/]Animated\.js$/;
const inNative = /[\\/]react-native-web[\\/]dist[\\/]index\.js$/;
/** Inside Paper ours stand, below `src/ui`: the touchable says states as the web says them, the icon needs no font, colours are those in use. */
const inPaper = /[\\/]react-native-paper[\\/]lib[\\/]/;
const nothing = join(__dirname, 'nothing.js');
/** What the router writes into the head of the page: nothing, since the title is set by `usePageTitle`. */
const head = /\/react-helmet-async\/lib$/;
const noHead = join(__dirname, 'no-head.js');

/** Every kilobyte of the first screen is waited for, so what is not used stays out. */
config.resolver.resolveRequest = (context, name, platform) => {
  const from = context.originModulePath;
  const isUnused =
    (inRouter.test(from) && (screens.test(name) || ofRouter.test(name))) ||
    (inNative.test(from) && ofNative.test(name)) ||
    (inAnimated.test(from) && ofAnimated.test(name));
  if (isUnused) return { type: 'sourceFile', filePath: nothing };
  if (inRouter.test(from) && head.test(name)) return { type: 'sourceFile', filePath: noHead };
  const standIn = inPaper.test(from) ? insidePaper[basename(name)] : undefined;
  if (standIn !== undefined) return { type: 'sourceFile', filePath: join(__dirname, 'src', 'ui', standIn) };
  return context.resolveRequest(context, name, platform);
};

/** A module is begun when it is first used, not when it is named: what the first screen does not use costs it nothing. */
const { getTransformOptions } = config.transformer;
config.transformer.getTransformOptions = async (...asked) => {
  const options = (await getTransformOptions?.(...asked)) ?? {};
  return { ...options, transform: { ...options.transform, inlineRequires: true } };
};

module.exports = config;
