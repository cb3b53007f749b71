/**
 * Lettering as outlines: typed text in a font, on a line or on an arc, as path data in mm on the blank's face. Letters on an arc are placed by the middle of their
 * advance along it and turned with it; kerning as the font says. Deterministic.
 */
import type { Font, Path, PathCommand } from 'opentype.js';
import type { RectMm } from '@/core/shape/rectangle';
import type { TextLayer } from './layers';

export interface LetteringOutline { path: string; box: RectMm }

/** Where a font does not say the height of its capitals. */
const USUAL_CAPITALS = 0.7;
const STRAIGHTEST_RADIUS_SHARE = 0.05;

const capitalShare = (font: Font): number => {
  const height = (font.tables as { os2?: { sCapHeight?: number } }).os2?.sCapHeight;
  return height ? height / font.unitsPerEm : USUAL_CAPITALS;
};

type Place = (x: number, y: number) => [number, number];

export function letteringOutline(font: Font, layer: Omit<TextLayer, 'box'>): LetteringOutline {
  const emMm = layer.sizeMm / capitalShare(font);
  const width = font.getAdvanceWidth(layer.text, emMm);
  const turn = (layer.turnDeg * Math.PI) / 180;
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const onFace: Place = (x, y) => [layer.xMm + x * cos - y * sin, layer.yMm + x * sin + y * cos];
  const radius = layer.arcRadiusMm;
  const outline = new Outline();
  if (radius === null) {
    outline.add(font.getPath(layer.text, -width / 2, layer.sizeMm / 2, emMm), onFace);
    return outline.result(layer);
  }
  // The arc is never tighter than the writing is long: it would run into its own end.
  const round = Math.sign(radius || 1) * Math.max(Math.abs(radius), width * STRAIGHTEST_RADIUS_SHARE + width / (2 * Math.PI));
  const scale = emMm / font.unitsPerEm;
  let at = -width / 2;
  const glyphs = font.stringToGlyphs(layer.text);
  glyphs.forEach((glyph, index) => {
    const advance = (glyph.advanceWidth ?? 0) * scale;
    const angle = (at + advance / 2) / round;
    const [gc, gs] = [Math.cos(angle), Math.sin(angle)];
    // The arc's middle lies below the line for an arch, above it for a bowl.
    outline.add(glyph.getPath(-advance / 2, 0, emMm), (x, y) => onFace((round + -y) * gs + x * gc, round - (round - y) * gc + x * gs));
    const next = glyphs[index + 1];
    at += advance + (next ? font.getKerningValue(glyph, next) * scale : 0);
  });
  return outline.result(layer);
}

class Outline {
  private parts: string[] = [];
  private left = Infinity; private top = Infinity; private right = -Infinity; private bottom = -Infinity;

  add(path: Path, place: Place): void {
    for (const command of path.commands) this.parts.push(this.write(command, place));
  }

  private point(place: Place, x: number, y: number): string {
    const [px, py] = place(x, y);
    this.left = Math.min(this.left, px); this.right = Math.max(this.right, px);
    this.top = Math.min(this.top, py); this.bottom = Math.max(this.bottom, py);
    return `${px.toFixed(3)} ${py.toFixed(3)}`;
  }

  private write(command: PathCommand, place: Place): string {
    switch (command.type) {
      case 'M': return `M${this.point(place, command.x, command.y)}`;
      case 'L': return `L${this.point(place, command.x, command.y)}`;
      case 'Q': return `Q${this.point(place, command.x1, command.y1)} ${this.point(place, command.x, command.y)}`;
      case 'C': return `C${this.point(place, command.x1, command.y1)} ${this.point(place, command.x2, command.y2)} ${this.point(place, command.x, command.y)}`;
      default: return 'Z';
    }
  }

  result({ xMm, yMm }: { xMm: number; yMm: number }): LetteringOutline {
    const box = this.parts.length === 0 || this.left === Infinity
      ? { xMm, yMm, widthMm: 0, heightMm: 0 }
      : { xMm: this.left, yMm: this.top, widthMm: this.right - this.left, heightMm: this.bottom - this.top };
    return { path: this.parts.join(''), box };
  }
}
