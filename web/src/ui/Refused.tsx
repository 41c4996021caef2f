import { useLookAgain } from '../api/fresh';
import { Button } from './Button';
import { Notice } from './Notice';

/** Why something was not done, and the way to see what is there now. */
export function Refused({ by }: { by: { error: Error | null; reset?: () => void }[] }) {
  const lookAgain = useLookAgain();
  const problem = by.find((each) => each.error !== null)?.error;
  if (!problem) return null;
  return (
    <Notice message={problem.message}>
      <Button
        onClick={() => {
          by.forEach((each) => each.reset?.());
          void lookAgain();
        }}
      >
        Look again
      </Button>
    </Notice>
  );
}
