import { Field } from '../ui/Field';

const KEY = 'wache-call-sign';

/** The call sign that was spoken last on this machine. */
export const callSign = () => localStorage.getItem(KEY) ?? '';

/** The call sign with which whoever is at the bench identifies; remembered on this machine. */
export function CallSign({ value, onChange }: { value: string; onChange: (text: string) => void }) {
  return (
    <Field
      label="Identify as"
      mono
      className="w-28"
      value={value}
      maxLength={20}
      placeholder="call sign"
      onChange={(text) => {
        const sign = text.toUpperCase();
        localStorage.setItem(KEY, sign);
        onChange(sign);
      }}
    />
  );
}
