import { Redo2, Undo2, type LucideIcon } from 'lucide-react';

interface StepsProps {
  canUndo: boolean;
  canRedo: boolean;
  onUndo: () => void;
  onRedo: () => void;
}

/** Steps back and forth. */
export function Steps({ canUndo, canRedo, onUndo, onRedo }: StepsProps) {
  return (
    <>
      <StepButton Icon={Undo2} label="Undo" keys="Ctrl+Z" disabled={!canUndo} onPress={onUndo} />
      <StepButton Icon={Redo2} label="Redo" keys="Ctrl+Shift+Z" disabled={!canRedo} onPress={onRedo} />
    </>
  );
}

function StepButton(props: { Icon: LucideIcon; label: string; keys: string; disabled: boolean; onPress: () => void }) {
  const { Icon, label, keys, disabled, onPress } = props;
  return (
    <button
      type="button"
      className="icon-button"
      aria-label={label}
      title={`${label} (${keys})`}
      disabled={disabled}
      onClick={onPress}
    >
      <Icon size={16} />
    </button>
  );
}
