import type { PDFDocumentProxy } from 'pdfjs-dist';
import { useEffect, useRef, useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { findInPdf, openPdf, type PageMatch } from '../../../data/pdf/open-pdf';
import { FindField } from '../../../ui/fields/find-field';
import { Button } from '../../../ui/press/press';
import { SmallKey } from '../../../ui/press/small-key';
import { AppText } from '../../../ui/theme/app-text';
import { counted } from '../../../words/work-words';
import { useZoom } from '../../../ui/focus/use-zoom';
import { SaveKey, ViewerFoot } from './viewer-foot';
import { mdiChevronLeft, mdiChevronRight } from '@mdi/js';

interface Props {
  readonly name: string;
  readonly content: Uint8Array<ArrayBuffer>;
  readonly onSave: () => void;
}

/** A PDF page by page, with its words to be found. */
export function PdfView({ name, content, onSave }: Props): ReactElement {
  const [pdf, setPdf] = useState<PDFDocumentProxy | 'opening' | 'damaged'>('opening');
  useEffect(() => {
    let opened: PDFDocumentProxy | undefined;
    let isOver = false;
    openPdf(content).then(
      (document) => {
        opened = document;
        if (isOver) void document.loadingTask.destroy();
        else setPdf(document);
      },
      () => {
        if (!isOver) setPdf('damaged');
      },
    );
    return () => {
      isOver = true;
      void opened?.loadingTask.destroy();
    };
  }, [content]);
  if (pdf === 'opening') return <AppText style={sheet.words}>Opening {name} …</AppText>;
  if (pdf === 'damaged') {
    return (
      <View role="main" style={sheet.words}>
        <AppText>{name} is damaged or locked and cannot be shown. Save it, or ask your lead for a whole one.</AppText>
        <Button word="Save it" onPress={onSave} />
      </View>
    );
  }
  return <Pages pdf={pdf} name={name} onSave={onSave} />;
}

function Pages({
  pdf,
  name,
  onSave,
}: {
  readonly pdf: PDFDocumentProxy;
  readonly name: string;
  readonly onSave: () => void;
}): ReactElement {
  const [page, setPage] = useState(1);
  const { scale, setScale, onFrame } = useZoom();
  const [words, setWords] = useState('');
  const [matches, setMatches] = useState<readonly PageMatch[]>([]);
  const [at, setAt] = useState(0);
  const [width, setWidth] = useState(0);
  useEffect(() => {
    let isOver = false;
    void findInPdf(pdf, words).then((found) => {
      if (isOver) return;
      setMatches(found);
      setAt(0);
      if (found[0] !== undefined) setPage(found[0].page);
    });
    return () => {
      isOver = true;
    };
  }, [pdf, words]);
  const goTo = (index: number): void => {
    const wanted = (index + matches.length) % matches.length;
    setAt(wanted);
    setPage(matches[wanted]?.page ?? page);
  };
  const here = matches[at];
  return (
    <View style={sheet.screen} onLayout={(event) => setWidth(event.nativeEvent.layout.width)}>
      <View style={sheet.find}>
        <View style={sheet.field}>
          <FindField label="Find in this document" value={words} onChange={setWords} />
        </View>
        <SaveKey onSave={onSave} />
        {words.trim() === '' ? null : matches.length === 0 ? (
          <AppText live>Not in it</AppText>
        ) : (
          <>
            <AppText live>
              {at + 1} of {counted(matches.length, 'place', 'places')}, page {here?.page}
            </AppText>
            <Button
              word="Before"
              label="The place before"
              isRepeatable
              cannot={matches.length < 2 && 'There is no other place.'}
              onPress={() => goTo(at - 1)}
            />
            <Button
              word="Next"
              label="Next place"
              isRepeatable
              cannot={matches.length < 2 && 'There is no other place.'}
              onPress={() => goTo(at + 1)}
            />
          </>
        )}
      </View>
      <div
        ref={onFrame}
        role="main"
        tabIndex={0}
        aria-label={`${name}, page ${page} of ${pdf.numPages}`}
        style={{ flex: 1, minHeight: 0, overflow: 'auto', touchAction: 'pan-x pan-y' }}
      >
        {width === 0 ? null : (
          <Page
            pdf={pdf}
            page={page}
            width={width * scale}
            matches={matches.filter((match) => match.page === page)}
            here={here}
          />
        )}
      </div>
      <ViewerFoot scale={scale} onScale={setScale}>
        <SmallKey
          icon={mdiChevronLeft}
          word="Back"
          isRepeatable
          disabled={page <= 1}
          onPress={() => setPage(page - 1)}
        />
        <View style={sheet.count}>
          <AppText as="label" live>
            {page} of {pdf.numPages}
          </AppText>
        </View>
        <SmallKey
          icon={mdiChevronRight}
          word="On"
          isRepeatable
          disabled={page >= pdf.numPages}
          onPress={() => setPage(page + 1)}
        />
      </ViewerFoot>
    </View>
  );
}

/** Pixels that a phone can hold in one picture. */
const MOST_PIXELS = 16_000_000;

function Page({
  pdf,
  page,
  width,
  matches,
  here,
}: {
  readonly pdf: PDFDocumentProxy;
  readonly page: number;
  readonly width: number;
  readonly matches: readonly PageMatch[];
  readonly here: PageMatch | undefined;
}): ReactElement {
  const canvas = useRef<HTMLCanvasElement>(null);
  const mark = useRef<HTMLDivElement>(null);
  const [view, setView] = useState<{ readonly scale: number; readonly height: number; readonly of: number } | null>(
    null,
  );
  useEffect(() => {
    let cancel: (() => void) | undefined;
    let isOver = false;
    const draw = async (): Promise<void> => {
      const found = await pdf.getPage(page);
      const whole = found.getViewport({ scale: 1 });
      const scale = width / whole.width;
      const sharp = Math.min(window.devicePixelRatio, Math.sqrt(MOST_PIXELS / (width * whole.height * scale)));
      const viewport = found.getViewport({ scale: scale * sharp });
      const target = canvas.current;
      if (isOver || target === null) return;
      target.width = Math.floor(viewport.width);
      target.height = Math.floor(viewport.height);
      const task = found.render({ canvas: target, viewport });
      cancel = () => task.cancel();
      await task.promise;
      if (!isOver) setView({ scale, height: whole.height, of: page });
    };
    draw().catch((error: unknown) => {
      // A page that was turned before it was drawn is cancelled.
      if (!isOver) throw error;
    });
    return () => {
      isOver = true;
      cancel?.();
    };
  }, [pdf, page, width]);
  useEffect(() => {
    mark.current?.scrollIntoView({ block: 'center', inline: 'center' });
  }, [here, view]);
  return (
    <div style={{ position: 'relative', width }}>
      <canvas ref={canvas} style={{ width, display: 'block' }} data-testid="pdf-page" data-drawn={view?.of} />
      {view === null || view.of !== page
        ? null
        : matches.flatMap((match) =>
            match.boxes.map((box, index) => (
              <div
                key={`${box.x} ${box.y}`}
                ref={match === here && index === 0 ? mark : undefined}
                data-testid="pdf-match"
                style={{
                  position: 'absolute',
                  left: box.x * view.scale - 1,
                  top: (view.height - box.y - box.height) * view.scale - 1,
                  width: box.width * view.scale + 2,
                  height: box.height * view.scale * 1.25 + 2,
                  border: `${match === here ? 2 : 1}px solid #a63f00`,
                  background: match === here ? 'rgba(224, 174, 79, 0.35)' : 'rgba(224, 174, 79, 0.18)',
                }}
              />
            )),
          )}
    </div>
  );
}

const sheet = StyleSheet.create({
  screen: { flex: 1, minHeight: 0 },
  words: { padding: 16, gap: 12 },
  find: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    gap: 8,
    paddingHorizontal: 16,
    paddingVertical: 8,
  },
  field: { flexGrow: 1, flexShrink: 1, flexBasis: 180, minWidth: 0 },
  count: { minWidth: 64, alignItems: 'center', justifyContent: 'center' },
});
