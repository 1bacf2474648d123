import { NativeSelect } from '@mantine/core';

const ANSWERS = [
  { value: '', label: 'Not known' },
  { value: 'no', label: 'No' },
  { value: 'yes', label: 'Yes' },
];

interface AskedProps {
  readonly label: string;
  readonly description?: string;
  readonly said: boolean | null;
  readonly onSaid: (said: boolean | null) => void;
}

/** A question that is answered yes or no, or by nobody yet. */
export const YesOrNo = ({ label, description, said, onSaid }: AskedProps) => (
  <NativeSelect
    label={label}
    description={description}
    data={ANSWERS}
    value={said === null ? '' : said ? 'yes' : 'no'}
    onChange={({ currentTarget: { value } }) => onSaid(value === '' ? null : value === 'yes')}
  />
);
