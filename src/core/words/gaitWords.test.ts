import { sayGaits } from './gaitWords';

describe('gaits in the words of a yard', () => {
  it('leaves the words alone where a yard says trot and canter', () => {
    expect(sayGaits('Canter out of a trot', 'english')).toBe('Canter out of a trot');
  });

  // Common practice, no source: a western rider jogs and lopes, and walks as everybody does.
  it.each([
    ['In trot', 'In jog'],
    ['Canter poles at a walk', 'Lope poles at a walk'],
    ['It trots, then cantered on; trotting is no cantering', 'It jogs, then loped on; jogging is no loping'],
    ['3 trot steps before the canter.', '3 jog steps before the lope.'],
    ['canter, trot; course canter', 'lope, jog; course lope'],
    ['after a jump: cross-canter', 'after a jump: cross-firing'],
  ])('says "%s" as "%s"', (english, western) => {
    expect(sayGaits(english, 'western')).toBe(western);
  });

  it('leaves the fox trot its name, and what only looks like a gait', () => {
    for (const same of ['fox trot', 'Fox trot stride', 'trot-poles', 'canter-poles-line', 'Trotter', 'a foxtrot'])
      expect(sayGaits(same, 'western')).toBe(same);
    expect(sayGaits('out of fox trot, out of trot', 'western')).toBe('out of fox trot, out of jog');
  });
});
