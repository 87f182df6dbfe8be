import {
  ArrowDownOutlined,
  ArrowUpOutlined,
  DeleteOutlined,
  EditOutlined,
  FormOutlined,
} from "@ant-design/icons";

import { worded } from "../texts/worded";

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
      <button
        onClick={edit}
        aria-label={worded("original.change", { what })}
        title={worded("original.change2")}
      >
        <EditOutlined />
      </button>
      <button
        onClick={note}
        aria-label={worded("original.noteOn", { what })}
        title={worded("original.aNoteOfYourOwn")}
      >
        <FormOutlined />
      </button>
      <button
        onClick={() => move(-1)}
        aria-label={worded("original.moveUp", { what })}
        title={worded("original.moveUpAlt")}
      >
        <ArrowUpOutlined />
      </button>
      <button
        onClick={() => move(1)}
        aria-label={worded("original.moveDown", { what })}
        title={worded("original.moveDownAlt")}
      >
        <ArrowDownOutlined />
      </button>
      <button
        onClick={remove}
        aria-label={worded("original.takeAway", { what })}
        title={worded("original.takeAwayCanBeUndone")}
      >
        <DeleteOutlined />
      </button>
    </span>
  );
}
