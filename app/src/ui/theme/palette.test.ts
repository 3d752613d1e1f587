import { dayPalette, nightPalette } from './palette';

describe('contrast', () => {
  const luminance = (hex: string): number => {
    const [r, g, b] = [1, 3, 5]
      .map((start) => Number.parseInt(hex.slice(start, start + 2), 16) / 255)
      .map((c) => (c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4));
    return 0.2126 * (r ?? 0) + 0.7152 * (g ?? 0) + 0.0722 * (b ?? 0);
  };
  const contrast = (a: string, b: string): number => {
    const [high, low] = [luminance(a), luminance(b)].sort((x, y) => y - x);
    return ((high ?? 0) + 0.05) / ((low ?? 0) + 0.05);
  };

  it.each([
    ['day', dayPalette],
    ['night', nightPalette],
  ] as const)('is kept by %s', (_, palette) => {
    for (const ground of [palette.paper, palette.card, palette.chosen]) {
      expect(contrast(palette.ink, ground)).toBeGreaterThanOrEqual(7);
      for (const color of [palette.inkSoft, palette.green, palette.alert, palette.faulty])
        expect(contrast(color, ground)).toBeGreaterThanOrEqual(4.5);
      expect(contrast(palette.edge, palette.card)).toBeGreaterThanOrEqual(3);
    }
    expect(contrast(palette.onGreen, palette.green)).toBeGreaterThanOrEqual(7);
    expect(contrast(palette.onBrass, palette.brass)).toBeGreaterThanOrEqual(4.5);
    expect(contrast(palette.ink, palette.scale)).toBeGreaterThanOrEqual(7);
  });
});
