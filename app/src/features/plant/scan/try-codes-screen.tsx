import { useRouter } from 'expo-router';
import JsBarcode from 'jsbarcode';
import QRCode from 'qrcode';
import { useEffect, useRef, type ReactElement } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { binCode, labelText, placeCode } from '@oilcan/core/plant/plant';
import { useRow, useTable } from '../../../data/store/store';
import { Button } from '../../../ui/press/press';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { TopBar } from '../../frame/page/top-bar';

interface Sample {
  readonly what: string;
  readonly form: 'QR' | 'Code 128';
  readonly text: string;
}

/** In the place of a handheld reader: codes to hold before a camera, or to give to the scanner by a press. */
export function TryCodesScreen(): ReactElement {
  const router = useRouter();
  const bin = useTable('bins')[0];
  const store = useTable('stores').find(({ id }) => id === bin?.storeId);
  const gearbox = useTable('assets').find(({ tag }) => tag === 'LRK-G1');
  const place = useRow('places', gearbox?.placeId);
  const samples: readonly Sample[] = [
    { what: 'The drive gearbox of Lark, our own label', form: 'QR', text: labelText(window.location.origin, 'LRK-G1') },
    { what: 'The same, on the plate of its maker', form: 'Code 128', text: 'BG710/19309' },
    { what: 'A pump of the snow plant', form: 'QR', text: labelText(window.location.origin, 'SNW-P2') },
    ...(bin === undefined || store === undefined
      ? []
      : [
          {
            what: `Bin ${bin.label} of the ${store.name.toLowerCase()}`,
            form: 'QR' as const,
            text: labelText(window.location.origin, binCode(store.name, bin.label)),
          },
        ]),
    ...(place === undefined
      ? []
      : [
          {
            what: `The door of ${place.name}`,
            form: 'QR' as const,
            text: labelText(window.location.origin, placeCode(place.id)),
          },
        ]),
    { what: 'A part', form: 'Code 128', text: 'SEAL-70-90-10' },
    { what: 'A label that nobody has bound yet', form: 'Code 128', text: 'NEW-LABEL-0815' },
  ];
  return (
    <View style={sheet.screen}>
      <TopBar title="Codes to try" onBack={() => router.navigate('/scan')} backTo="Scan" />
      <ScrollView role="main" contentContainerStyle={sheet.content}>
        <AppText soft>Hold another phone’s camera over one, or press to give it to the scanner.</AppText>
        {samples.map((sample) => (
          <SampleCode
            key={sample.what}
            sample={sample}
            onScan={() => router.navigate(`/scan?code=${encodeURIComponent(sample.text)}`)}
          />
        ))}
        <Button
          word="Scan a damaged one"
          onPress={() => router.navigate(`/scan?code=${encodeURIComponent('LRK\u0007\u0001')}`)}
        />
      </ScrollView>
    </View>
  );
}

function SampleCode({ sample, onScan }: { readonly sample: Sample; readonly onScan: () => void }): ReactElement {
  const palette = usePalette();
  return (
    <View style={[sheet.sample, { borderColor: palette.line }]}>
      <View style={sheet.picture}>
        {sample.form === 'QR' ? <QrPicture text={sample.text} /> : <BarPicture text={sample.text} />}
      </View>
      <View style={sheet.words}>
        <AppText>{sample.what}</AppText>
        <AppText as="small" soft>
          {sample.form}
        </AppText>
        <Button word="Scan this" label={`Scan this: ${sample.what}`} onPress={onScan} />
      </View>
    </View>
  );
}

function QrPicture({ text }: { readonly text: string }): ReactElement {
  const { modules } = QRCode.create(text, { errorCorrectionLevel: 'M' });
  const squares: string[] = [];
  for (let row = 0; row < modules.size; row += 1) {
    for (let column = 0; column < modules.size; column += 1) {
      if (modules.get(row, column) === 1) squares.push(`M${column + 4} ${row + 4}h1v1h-1z`);
    }
  }
  const side = modules.size + 8;
  return (
    <svg role="img" aria-label={`QR code ${text}`} viewBox={`0 0 ${side} ${side}`} style={{ background: '#fff' }}>
      <path d={squares.join('')} fill="#000" shapeRendering="crispEdges" />
    </svg>
  );
}

function BarPicture({ text }: { readonly text: string }): ReactElement {
  const target = useRef<SVGSVGElement>(null);
  useEffect(() => {
    JsBarcode(target.current, text, { format: 'CODE128', height: 60, width: 2, fontSize: 18, margin: 16 });
  }, [text]);
  return <svg ref={target} role="img" aria-label={`Code 128 ${text}`} style={{ maxWidth: '100%', height: 'auto' }} />;
}

const sheet = StyleSheet.create({
  screen: { flex: 1, minHeight: 0 },
  content: { padding: 16, gap: 12, width: '100%', maxWidth: 720, alignSelf: 'center' },
  sample: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    gap: 16,
    borderBottomWidth: 1,
    paddingBottom: 12,
    alignItems: 'center',
  },
  picture: { width: 200 },
  words: { flexGrow: 1, flexBasis: 150, gap: 6 },
});
