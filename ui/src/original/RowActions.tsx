import {
  ArrowDownOutlined,
  ArrowUpOutlined,
  DeleteOutlined,
  EditOutlined,
  FormOutlined,
} from "@ant-design/icons";

interface Props {
  what: string;
  edit: () => void;
  move: (by: -1 | 1) => void;
  remove: () => void;
  /** Begins a note in the cook's own words. */
  note: () => void;
}

/** Small buttons beside a line or step: change, move, take away. */
export function RowActions({ what, edit, move, remove, note }: Props) {
  const onKeyDown = (e: React.KeyboardEvent) => {
    if (!e.altKey || (e.key !== "ArrowUp" && e.key !== "ArrowDown")) return;
    e.preventDefault();
    move(e.key === "ArrowUp" ? -1 : 1);
  };
  return (
    <span className="row-actions" onKeyDown={onKeyDown}>
      <button onClick={edit} aria-label={`Change ${what}`} title="Change">
        <EditOutlined />
      </button>
      <button onClick={note} aria-label={`Note on ${what}`} title="A note of your own">
        <FormOutlined />
      </button>
      <button onClick={() => move(-1)} aria-label={`Move ${what} up`} title="Move up (Alt+↑)">
        <ArrowUpOutlined />
      </button>
      <button onClick={() => move(1)} aria-label={`Move ${what} down`} title="Move down (Alt+↓)">
        <ArrowDownOutlined />
      </button>
      <button onClick={remove} aria-label={`Take ${what} away`} title="Take away (can be undone)">
        <DeleteOutlined />
      </button>
    </span>
  );
}
