import ArrowLeft from 'lucide-react-native/icons/arrow-left';
import Check from 'lucide-react-native/icons/check';
import Copy from 'lucide-react-native/icons/copy';
import Ellipsis from 'lucide-react-native/icons/ellipsis-vertical';
import Grip from 'lucide-react-native/icons/grip-vertical';
import Minus from 'lucide-react-native/icons/minus';
import Pencil from 'lucide-react-native/icons/pencil';
import Plus from 'lucide-react-native/icons/plus';
import Redo from 'lucide-react-native/icons/redo-2';
import Square from 'lucide-react-native/icons/square';
import SquareCheck from 'lucide-react-native/icons/square-check-big';
import Trash from 'lucide-react-native/icons/trash';
import Triangle from 'lucide-react-native/icons/triangle-alert';
import Undo from 'lucide-react-native/icons/undo-2';
import X from 'lucide-react-native/icons/x';

const ICONS = {
  back: ArrowLeft,
  check: Check,
  copy: Copy,
  more: Ellipsis,
  grip: Grip,
  edit: Pencil,
  add: Plus,
  less: Minus,
  redo: Redo,
  undo: Undo,
  unticked: Square,
  ticked: SquareCheck,
  delete: Trash,
  warning: Triangle,
  close: X,
};

/** The icons there are. */
export type IconName = keyof typeof ICONS;

/** One of the few icons that are shorter than their word. */
export const Icon = ({ name, size = 20, color }: { name: IconName; size?: number; color: string }) => {
  const Drawn = ICONS[name];
  return <Drawn size={size} color={color} strokeWidth={1.9} aria-hidden />;
};

/** Paper's components ask for icons by name: the same ones. */
export const paperIcon = ({ name, size, color }: { name: string; size: number; color?: string }) =>
  name in ICONS ? <Icon name={name as IconName} size={size} color={color ?? 'currentColor'} /> : null;
