/**
 * Lettering as outlines: typed text in a font, on a line or on an arc, as path data in mm on the blank's face. Letters
 * on an arc are placed by the middle of their advance along it and turned with it; kerning as the font says.
 * Deterministic.
 */
import type { Font, Glyph, Path, PathCommand } from 'opentype.js';
import type { RectMm } from '@/core/shape/rectangle';
import type { TextLayer } from './layers';

export interface LetteringOutline {
  path: string;
  box: RectMm;
}

/** Straight stretches of letters are bent in steps of this. */
const BEND_STEP_MM = 1;
/** Where a font has no capital H to measure. */
const USUAL_CAPITALS = 0.7;
const STRAIGHTEST_RADIUS_SHARE = 0.05;

/** Height of the capitals in shares of the em, measured: what fonts say of it is often wrong. */
const capitalShare = (font: Font): number => {
  const height = font.charToGlyph('H').getBoundingBox().y2 / font.unitsPerEm;
  return height > 0.2 ? height : USUAL_CAPITALS;
};

/**
 * Glyph by glyph, without the font's own substitutions, which not every font's tables can be read for. Kerning where
 * there is some.
 */
function glyphsOf(font: Font, text: string, emMm: number): { glyph: Glyph; atMm: number; advanceMm: number }[] {
  const scale = emMm / font.unitsPerEm;
  let at = 0;
  let before: Glyph | null = null;
  return [...text].map((letter) => {
    const glyph = font.charToGlyph(letter);
    at += before ? font.getKerningValue(before, glyph) * scale : 0;
    const placed = { glyph, atMm: at, advanceMm: (glyph.advanceWidth ?? 0) * scale };
    at += placed.advanceMm;
    before = glyph;
    return placed;
  });
}

type Place = (x: number, y: number) => [number, number];

export function letteringOutline(font: Font, layer: Omit<TextLayer, 'box'>): LetteringOutline {
  const emMm = layer.sizeMm / capitalShare(font);
  const glyphs = glyphsOf(font, layer.text, emMm);
  const last = glyphs.at(-1);
  const width = last ? last.atMm + last.advanceMm : 0;
  const turn = (layer.turnDeg * Math.PI) / 180;
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const onFace: Place = (x, y) => [layer.xMm + x * cos - y * sin, layer.yMm + x * sin + y * cos];
  const outline = new Outline();
  // The arc is never tighter than the writing is long: it would run into its own end.
  const radius =
    layer.arcRadiusMm === null
      ? null
      : Math.sign(layer.arcRadiusMm || 1) *
        Math.max(Math.abs(layer.arcRadiusMm), width * STRAIGHTEST_RADIUS_SHARE + width / (2 * Math.PI));
  for (const { glyph, atMm, advanceMm } of glyphs) {
    const middle = atMm + advanceMm / 2 - width / 2;
    const path = glyph.getPath(-advanceMm / 2, layer.sizeMm / 2, emMm);
    if (radius === null) {
      outline.add(path, (x, y) => onFace(middle + x, y));
      continue;
    }
    const angle = middle / radius;
    const [gc, gs] = [Math.cos(angle), Math.sin(angle)];
    // The arc's middle lies below the line for an arch, above it for a bowl.
    outline.add(path, (x, y) => onFace((radius - y) * gs + x * gc, radius - (radius - y) * gc + x * gs));
  }
  return outline.result(layer);
}

/**
 * A path of absolute M, L, Q, C and Z moved point by point; straight stretches are cut up first, so that they can bend.
 */
export function bentPath(path: string, move: (xMm: number, yMm: number) => { xMm: number; yMm: number }): string {
  const write = (x: number, y: number) => {
    const { xMm, yMm } = move(x, y);
    return `${xMm.toFixed(3)} ${yMm.toFixed(3)}`;
  };
  let [x, y, startX, startY] = [0, 0, 0, 0];
  const line = (toX: number, toY: number): string => {
    const steps = Math.max(1, Math.ceil(Math.hypot(toX - x, toY - y) / BEND_STEP_MM));
    const parts = Array.from(
      { length: steps },
      (_, step) => `L${write(x + ((toX - x) * (step + 1)) / steps, y + ((toY - y) * (step + 1)) / steps)}`,
    );
    return parts.join('');
  };
  return [...path.matchAll(/([MLQCZ])([^MLQCZ]*)/g)]
    .map(([, command, figures]) => {
      const points = (figures!.match(/-?[\d.]+/g) ?? []).map(Number);
      if (command === 'Z') {
        const close = line(startX, startY);
        [x, y] = [startX, startY];
        return `${close}Z`;
      }
      const [endX, endY] = [points.at(-2)!, points.at(-1)!];
      const text =
        command === 'L'
          ? line(endX, endY)
          : `${command}${Array.from({ length: points.length / 2 }, (_, i) => write(points[2 * i]!, points[2 * i + 1]!)).join(' ')}`;
      if (command === 'M') [startX, startY] = [endX, endY];
      [x, y] = [endX, endY];
      return text;
    })
    .join('');
}

class Outline {
  private parts: string[] = [];
  private left = Infinity;
  private top = Infinity;
  private right = -Infinity;
  private bottom = -Infinity;

  add(path: Path, place: Place): void {
    for (const command of path.commands) this.parts.push(this.write(command, place));
  }

  private point(place: Place, x: number, y: number): string {
    const [px, py] = place(x, y);
    this.left = Math.min(this.left, px);
    this.right = Math.max(this.right, px);
    this.top = Math.min(this.top, py);
    this.bottom = Math.max(this.bottom, py);
    return `${px.toFixed(3)} ${py.toFixed(3)}`;
  }

  private write(command: PathCommand, place: Place): string {
    switch (command.type) {
      case 'M':
        return `M${this.point(place, command.x, command.y)}`;
      case 'L':
        return `L${this.point(place, command.x, command.y)}`;
      case 'Q':
        return `Q${this.point(place, command.x1, command.y1)} ${this.point(place, command.x, command.y)}`;
      case 'C':
        return (
          `C${this.point(place, command.x1, command.y1)} ${this.point(place, command.x2, command.y2)} ` +
          `${this.point(place, command.x, command.y)}`
        );
      default:
        return 'Z';
    }
  }

  result({ xMm, yMm }: { xMm: number; yMm: number }): LetteringOutline {
    const box =
      this.parts.length === 0 || this.left === Infinity
        ? { xMm, yMm, widthMm: 0, heightMm: 0 }
        : { xMm: this.left, yMm: this.top, widthMm: this.right - this.left, heightMm: this.bottom - this.top };
    return { path: this.parts.join(''), box };
  }
}
