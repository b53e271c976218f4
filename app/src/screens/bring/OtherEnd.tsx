import { Switch } from 'antd';

interface OtherEndProps {
  /** The end that is not where it looks to be. */
  of: 'tail' | 'nose';
  turned: boolean;
  onTurned: (turned: boolean) => void;
}

/** Nose for tail: what was brought in lies the other way round than it looks. */
export function OtherEnd({ of, turned, onTurned }: OtherEndProps) {
  const words = `The ${of} is at the other end`;
  return (
    <label className="row-of-tools">
      <Switch size="small" checked={turned} onChange={onTurned} aria-label={words} />
      <span>{words}</span>
    </label>
  );
}
