/** What a draft is of, and where it is gone on with. */
export function draftWords(name: string): { words: string; href: string | null } {
  const [kind = '', id = ''] = name.split(' ');
  switch (kind) {
    case 'layout':
      return { words: 'A layout that is planned', href: `/plan/${id}` };
    case 'lesson':
      return id === 'new'
        ? { words: 'A new lesson', href: '/ride/lessons/new' }
        : { words: 'The plan of a lesson', href: `/ride/lessons/${id}` };
    case 'stride-test':
      return { words: 'A stride test that is ridden', href: `/yard/horses/${id}/test` };
    case 'pad':
      return { words: 'Strides that are being counted', href: `/ride/lessons/${id}/run` };
    case 'measured':
      return { words: 'What was measured on the ground', href: `/set/${id}` };
    default:
      return { words: 'Something of another Roan', href: null };
  }
}
