const { basename, join } = require('node:path');
const { getDefaultConfig } = require('expo/metro-config');

const config = getDefaultConfig(__dirname);

/** Parts of the router that no screen here uses: its stacks, tabs, drawers and headers, previews of links, its own page for what failed, and the pages it shows to developers. */
const unused =
  /(^react-native-screens|\/(createNativeStackNavigator|stack-utils|bottom-tabs|Tabs|experimental-stack|Sitemap|Unmatched|ErrorBoundary|Toast|DrawerRouter|TabRouter|StaticNavigation|createStaticNavigation|LinkWithPreview|HrefPreview|NativeTabTrigger|standard-navigation))$/;
const inRouter = /[\\/]expo-router[\\/]build[\\/]/;
/** Animated lists and pictures, which nothing here uses, and what stands in for all of it in tests. */
const unusedAnimated = /\/(AnimatedFlatList|AnimatedSectionList|AnimatedImage|AnimatedMock)$/;
const inAnimated = /[\\/]react-native-web[\\/]dist[\\/]vendor[\\/]react-native[\\/]Animated[\\/]Animated\.js$/;
/** Parts of React Native that nothing here uses, though its own index names them. */
const unusedNative =
  /\/(Button|CheckBox|Clipboard|DrawerLayoutAndroid|ImageBackground|KeyboardAvoidingView|LayoutAnimation|Picker|ProgressBar|Share|Switch|TouchableHighlight|TouchableNativeFeedback|TouchableWithoutFeedback|Vibration|YellowBox)$/;
const inNative = /[\\/]react-native-web[\\/]dist[\\/]index\.js$/;
const nothing = join(__dirname, 'nothing.js');
/** What the router writes into the head of the page: nothing, since the title is set by `usePageTitle`. */
const head = /\/react-helmet-async\/lib$/;
const noHead = join(__dirname, 'no-head.js');

/** Inside Paper ours stand: the touchable says states as the web says them, the icon needs no font, colours are those in use. */
const inPaper = /[\\/]react-native-paper[\\/]lib[\\/]/;
const standIns = {
  TouchableRipple: 'press/touchable.tsx',
  MaterialCommunityIcon: 'theme/paper-icon.tsx',
  colors: 'theme/paper-colors.ts',
};

/** Every kilobyte of the first screen is waited for, so what is not used stays out. */
config.resolver.resolveRequest = (context, name, platform) => {
  if (inRouter.test(context.originModulePath) && unused.test(name)) return { type: 'sourceFile', filePath: nothing };
  if (inNative.test(context.originModulePath) && unusedNative.test(name))
    return { type: 'sourceFile', filePath: nothing };
  if (inAnimated.test(context.originModulePath) && unusedAnimated.test(name))
    return { type: 'sourceFile', filePath: nothing };
  if (inRouter.test(context.originModulePath) && head.test(name)) return { type: 'sourceFile', filePath: noHead };
  const standIn = inPaper.test(context.originModulePath) ? standIns[basename(name)] : undefined;
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
