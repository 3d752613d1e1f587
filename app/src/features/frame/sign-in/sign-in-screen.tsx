import { yupResolver } from '@hookform/resolvers/yup';
import { useRouter } from 'expo-router';
import { useEffect, useState, type ReactElement } from 'react';
import { Controller, useForm } from 'react-hook-form';
import { ScrollView, StyleSheet, View } from 'react-native';
import * as yup from 'yup';
import type { About } from '../../../data/server/answers';
import { httpLink } from '../../../data/server/http-link';
import { signIn, usePhone } from '../../../data/store/store';
import { roleWords } from '../../../words/work-words';
import { KeepingBar } from '../frame';
import { Field } from '../../../ui/fields/field';
import { useInPlaceOfFirstPaint } from '../../../ui/loading/first-paint';
import { Icon } from '../../../ui/theme/icon';
import { Button, Press } from '../../../ui/press/press';
import { CORNER, RULE } from '../../../ui/theme/theme';
import { usePalette } from '../../../ui/theme/use-palette';
import { usePageTitle } from '../../../ui/focus/use-page-title';
import { AppText } from '../../../ui/theme/app-text';
import { notSignedIn } from './not-signed-in';
import { SignedOutLine } from './signed-out-line';
import { mdiChevronRight, mdiOil } from '@mdi/js';

const schema = yup.object({
  name: yup.string().trim().required('Give your name.').max(120, 'A name has at most 120 characters.'),
  password: yup.string().required('Give your password.').max(256, 'A password has at most 256 characters.'),
});

type Demo = NonNullable<About['demo']>;

/** Name and password; on a demo server also the people of the demo, to sign in as with one tap. */
export function SignInScreen(): ReactElement {
  usePageTitle('Sign in');
  useInPlaceOfFirstPaint();
  const palette = usePalette();
  const router = useRouter();
  const [demo, setDemo] = useState<Demo | null>(null);
  const [failure, setFailure] = useState<string | null>(null);
  const isSignedIn = usePhone((state) => state.person !== null);
  const { control, handleSubmit, formState } = useForm({
    resolver: yupResolver(schema),
    defaultValues: { name: '', password: '' },
  });

  useEffect(() => {
    httpLink
      .about()
      .then((about) => setDemo(about.demo))
      .catch(() => setFailure('The server cannot be reached. Signing in needs signal once; after that it does not.'));
  }, []);

  // By the form, in another window, or by a session that was still open.
  useEffect(() => {
    if (isSignedIn) router.replace('/');
  }, [isSignedIn, router]);

  const enter = async (name: string, password: string): Promise<void> => {
    try {
      await signIn(name, password);
    } catch (error) {
      setFailure(notSignedIn(error));
    }
  };
  const submit = handleSubmit(({ name, password }) => enter(name, password));

  return (
    <ScrollView style={{ backgroundColor: palette.paper }} contentContainerStyle={sheet.page}>
      <KeepingBar />
      <View style={sheet.column} role="main">
        <View style={sheet.sign}>
          <Icon path={mdiOil} size={44} color={palette.green} />
          <View style={sheet.signWords}>
            <AppText as="title" level={1}>
              Oilcan
            </AppText>
            <AppText soft>Your work orders, with or without signal.</AppText>
          </View>
        </View>
        <SignedOutLine />
        <Controller
          control={control}
          name="name"
          render={({ field }) => (
            <Field
              label="Name"
              value={field.value}
              onChange={field.onChange}
              autoComplete="username"
              error={formState.errors.name?.message ?? null}
              onEnter={() => void submit()}
            />
          )}
        />
        <Controller
          control={control}
          name="password"
          render={({ field }) => (
            <Field
              label="Password"
              value={field.value}
              onChange={field.onChange}
              isSecret
              autoComplete="current-password"
              error={formState.errors.password?.message ?? null}
              onEnter={() => void submit()}
            />
          )}
        />
        {failure === null ? null : (
          <View role="alert" style={[sheet.failure, { borderColor: palette.faulty }]}>
            <AppText>{failure}</AppText>
          </View>
        )}
        <Button
          word="Sign in"
          rank="primary"
          cannot={formState.isSubmitting && 'Signing in …'}
          onPress={() => void submit()}
        />
        {demo === null ? null : <DemoPeople demo={demo} onChoose={(name) => void enter(name, demo.password)} />}
      </View>
    </ScrollView>
  );
}

function DemoPeople({
  demo,
  onChoose,
}: {
  readonly demo: Demo;
  readonly onChoose: (name: string) => void;
}): ReactElement {
  const palette = usePalette();
  return (
    <View style={sheet.demo}>
      <AppText as="heading" level={2}>
        This server shows a demo
      </AppText>
      <AppText soft>
        Graupel Peak Ropeways and its people are invented. Tap a name to sign in, or type it with the password “
        {demo.password}”.
      </AppText>
      {demo.people.map((person) => (
        <Press
          key={person.id}
          onPress={() => onChoose(person.name)}
          style={[sheet.person, { borderColor: palette.line, backgroundColor: palette.card }]}
        >
          <View style={sheet.personWords}>
            <AppText as="row">{person.name}</AppText>
            <AppText as="small" soft>
              {person.roles.map((role) => roleWords[role]).join(', ')}
              {person.roles.includes('technician') ? `, ${person.tradeId}` : ''}
            </AppText>
          </View>
          <Icon path={mdiChevronRight} />
        </Press>
      ))}
    </View>
  );
}

const sheet = StyleSheet.create({
  page: { flexGrow: 1, alignItems: 'center', padding: 20 },
  column: { width: '100%', maxWidth: 440, gap: 14 },
  sign: { flexDirection: 'row', alignItems: 'center', gap: 14, paddingVertical: 18 },
  signWords: { flexShrink: 1 },
  failure: { borderLeftWidth: 4, paddingLeft: 12, paddingVertical: 4 },
  demo: { gap: 8, paddingTop: 18 },
  person: {
    flexDirection: 'row',
    alignItems: 'center',
    borderWidth: RULE,
    borderRadius: CORNER,
    paddingHorizontal: 14,
    paddingVertical: 8,
  },
  personWords: { flex: 1 },
});
