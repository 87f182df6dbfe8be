import { Spin } from "antd";

/** What is under way while a page waits for its answer. */
export function Loading({ children }: { children: string }) {
  return (
    <div className="page loading" role="status">
      <Spin size="small" /> <span>{children}</span>
    </div>
  );
}
