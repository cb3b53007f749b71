import { planPiece, runSteps } from '@/core/plan';
import { demoPieces } from '@/demo/scenario';
import { NOW, PICTURE } from '@/testing/builders';
import { checkPiece, nameLike, pieceLike, withChoicesOf, type Piece } from '../index';

describe('another like it', () => {
  const another = { id: 'another', name: 'Another', now: NOW, withoutPicture: false };

  it.each(demoPieces(NOW).map((piece) => [piece.id, piece] as const))('%s: all choices, nothing done', (_, piece) => {
    const like = pieceLike(piece, another);
    expect(checkPiece(like)).toEqual({ ok: true, value: like });
    const steps = (one: typeof piece) => runSteps(one, planPiece(one, PICTURE, NOW));
    expect(steps(like).every(({ doneAt }) => doneAt === null)).toBe(true);
    expect(steps(like).map(({ id }) => id)).toEqual(expect.arrayContaining(steps(piece).map(({ id }) => id)));
    expect(like).toMatchObject({ method: piece.method, surface: { kind: piece.surface.kind }, revision: 1 });
    expect(like.work).toEqual({ done: [], draws: [] });
    expect(like.keep).toMatchObject({ photoId: null, rating: null, notes: '', prices: piece.keep.prices });
  });

  it('with another picture: lettering stays, the picture is chosen anew', () => {
    const [piece] = demoPieces(NOW).filter(({ picture }) => picture.pictureId !== null);
    if (!piece) throw new Error('no picture in the demo');
    const like = pieceLike(piece, { ...another, withoutPicture: true });
    expect(like.picture.pictureId).toBeNull();
    expect(like.picture.layers).toEqual(piece.picture.layers.filter(({ kind }) => kind === 'text'));
    expect(checkPiece(like).ok).toBe(true);
  });

  it('is numbered on, never named twice, and never too long', () => {
    expect(nameLike('Crest bucket', [])).toBe('Crest bucket 2');
    expect(nameLike('Crest bucket 2', ['Crest bucket', 'Crest bucket 2', 'Crest bucket 3'])).toBe('Crest bucket 4');
    expect(nameLike('x'.repeat(120), []).length).toBe(120);
  });
});

describe('one plan for a set', () => {
  const [pattern] = demoPieces(NOW).filter(({ picture }) => picture.pictureId !== null);
  const part = (id: string): Piece => pieceLike(pattern, { id, name: id, now: NOW, withoutPicture: false });
  const text = { kind: 'text' as const, mode: 'transfer' as const, font: 'oswald' as const, sizeMm: 12 };
  const lettered = (words: string): Piece => {
    const piece = part(words);
    const box = { xMm: 0, yMm: 0, widthMm: 50, heightMm: 12 };
    const layer = {
      ...text,
      id: 'l',
      text: words,
      colour: '#000000',
      xMm: 1,
      yMm: 2,
      turnDeg: 0,
      arcRadiusMm: null,
      box,
    };
    return { ...piece, picture: { ...piece.picture, layers: [layer] } };
  };

  it('what is chosen follows, what is its own stays', () => {
    const [ada, ben] = [lettered('Ada'), lettered('Ben')];
    const done: Piece = {
      ...ben,
      surface: { ...ben.surface, prepared: ['dust'] },
      rub: { ...ben.rub, done: [{ at: NOW, minutes: 12 }] },
      keep: { ...ben.keep, rating: 3, notes: 'crooked' },
    };
    const planned: Piece = {
      ...ada,
      dueOn: '2026-12-24',
      method: { ...ada.method, binder: 'heavy-gel' },
      lay: { ...ada.lay, filmUm: 140 },
      rub: { ...ada.rub, passes: 3 },
      picture: { ...ada.picture, layers: ada.picture.layers.map((layer) => ({ ...layer, xMm: 30 })) },
    };
    const after = withChoicesOf(planned, done);
    expect(after).toMatchObject({
      id: 'Ben',
      name: 'Ben',
      dueOn: '2026-12-24',
      method: { binder: 'heavy-gel' },
      lay: { filmUm: 140 },
      rub: { passes: 3, done: [{ at: NOW, minutes: 12 }] },
      surface: { prepared: ['dust'] },
      keep: { rating: 3, notes: 'crooked' },
      picture: { layers: [{ text: 'Ben', xMm: 30 }] },
    });
    expect(withChoicesOf(planned, after)).toEqual(after);
  });

  it('what is done stays as it was done', () => {
    const [ada, ben] = [lettered('Ada'), lettered('Ben')];
    const planned: Piece = {
      ...ada,
      method: { ...ada.method, binder: 'heavy-gel' },
      sheet: { ...ada.sheet, copies: 7 },
      lay: { ...ada.lay, filmUm: 140 },
      rub: { ...ada.rub, passes: 5 },
      seal: { ...ada.seal, coats: 6 },
    };
    const printed: Piece = { ...ben, sheet: { ...ben.sheet, printedAt: NOW } };
    expect(withChoicesOf(planned, printed)).toMatchObject({ sheet: printed.sheet, lay: { filmUm: 140 } });
    const laid: Piece = { ...printed, lay: { ...printed.lay, laidAt: NOW } };
    expect(withChoicesOf(planned, laid)).toMatchObject({ method: laid.method, lay: laid.lay, rub: { passes: 5 } });
    const sealed: Piece = {
      ...laid,
      rub: { ...laid.rub, finishedAt: NOW },
      seal: { ...laid.seal, coatsAt: [NOW] },
    };
    expect(withChoicesOf(planned, sealed)).toMatchObject({ rub: sealed.rub, seal: sealed.seal });
  });

  it('another picture keeps its own crop and outline; the same one is cropped for all', () => {
    const crop = { x: 0.1, y: 0.2, width: 0.5, height: 0.5 };
    const ada = { ...part('Ada'), picture: { ...part('Ada').picture, crop } };
    expect(withChoicesOf(ada, part('Ben')).picture.crop).toEqual(crop);
    const other = { ...part('Cleo'), picture: { ...part('Cleo').picture, pictureId: 'another' } };
    expect(withChoicesOf(ada, other).picture).toMatchObject({ pictureId: 'another', crop: other.picture.crop });
  });
});
