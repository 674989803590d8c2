import type { Item } from './item';
import { isRaised, type RaisedEnds } from './pole';

/** What a kind of item is called. */
export function kindWords(item: Item): string {
  switch (item.kind) {
    case 'pole':
      return isRaised(item.raised) ? 'raised pole' : 'pole';
    case 'fence':
      return item.form.replace('-', ' ');
    case 'guide':
      return 'guide rail';
    default:
      return item.kind;
  }
}

/**
 * What it is and what it is called; what is called after its kind says so once: "vertical 3", "oxer gate", "cone 2".
 * @param label - its name, number or letter; null where only its kind is told
 */
export function nameWords(item: Item, label: string | null): string {
  const kind = kindWords(item);
  if (label === null) return kind;
  return label.startsWith(kind) ? label : `${kind} ${label}`;
}

/** An item in words: what it is, what it is called, and how it is built. */
export function itemWords(item: Item, label: string | null, format: (lengthM: number) => string): string {
  const name = nameWords(item, label);
  switch (item.kind) {
    case 'pole':
      return isRaised(item.raised) ? `${name}, ${raisedWords(item.raised, format)}` : name;
    case 'fence': {
      const spread = item.spreadM > 0 ? `, ${format(item.spreadM)} wide` : '';
      return `${name}, ${format(item.heightM)} high${spread}`;
    }
    default:
      return name;
  }
}

/** Which ends are up and how high. */
export function raisedWords({ leftM, rightM }: RaisedEnds, format: (lengthM: number) => string): string {
  if (leftM > 0 && rightM > 0) return `up ${format(leftM)} both ends`;
  return leftM > 0 ? `up ${format(leftM)} left` : `up ${format(rightM)} right`;
}
