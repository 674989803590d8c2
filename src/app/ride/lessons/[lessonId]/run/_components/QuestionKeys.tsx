import { useSay } from '@/components/Lengths/LengthsProvider';
import classes from './RunLesson.module.css';

type QuestionKeysProps = {
  questions: readonly { id: string; words: string }[];
  chosenId: string | null;
  onChoose: (id: string) => void;
};

/** What a stage asks, one of them chosen; nothing to choose where it asks one thing. */
export function QuestionKeys({ questions, chosenId, onChoose }: QuestionKeysProps) {
  const say = useSay();
  if (questions.length < 2) return null;
  return (
    <div role="group" aria-label="What is asked" className={classes.questions}>
      {questions.map(({ id, words }) => (
        <button
          key={id}
          type="button"
          className={classes.key}
          aria-pressed={id === chosenId}
          onClick={() => onChoose(id)}
        >
          {say(words)}
        </button>
      ))}
    </div>
  );
}
