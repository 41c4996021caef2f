import { Server, type Schemas } from '../api/client';

export type FieldView = Schemas['FieldView'];

/** The columns of an entry in the order in which they are asked for, as the server has them. */
export const useFields = () => Server.useQuery('get', '/api/fields', {}, { staleTime: Infinity }).data ?? [];

/** What stands above a column. */
export const heading = ({ label, unit }: FieldView) => (unit === '' ? label : `${label}, ${unit}`);

/** Whether its text is read digit by digit. */
export const isFigure = ({ shape }: FieldView) => shape === 'figure';

/** What a column is called, by its key. */
export function useHeadings(): (key: string) => string {
  const fields = useFields();
  return (key) => {
    const field = fields.find((each) => each.key === key);
    return field ? heading(field) : key;
  };
}
