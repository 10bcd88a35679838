type Tool = "pen" | "pointer";
const INK = "#B4481E";
const WIDTH = 4;

/** A pen and a pointer over what is shown; what they leave is gone with the slide. */
export class Pen {
  readonly canvas = document.createElement("canvas");
  readonly dot = document.createElement("div");
  tool: Tool | null = null;
  private readonly root: HTMLElement;
  private readonly hearers: (() => void)[] = [];
  private last: { x: number; y: number } | null = null;

  constructor(root: HTMLElement) {
    this.root = root;
    this.canvas.className = "p-pen";
    this.canvas.setAttribute("aria-hidden", "true");
    this.dot.className = "p-dot";
    this.dot.setAttribute("aria-hidden", "true");
    this.canvas.addEventListener("pointerdown", (e) => {
      if (this.tool !== "pen") return;
      this.canvas.setPointerCapture(e.pointerId);
      this.last = { x: e.clientX, y: e.clientY };
      this.stroke(e);
    });
    this.canvas.addEventListener("pointermove", (e) => {
      if (this.last) this.stroke(e);
    });
    for (const type of ["pointerup", "pointercancel"])
      this.canvas.addEventListener(type, () => {
        this.last = null;
      });
    root.addEventListener("pointermove", (e) => {
      if (this.tool !== "pointer") return;
      this.dot.style.transform = `translate(${e.clientX}px, ${e.clientY}px)`;
    });
  }

  /** Takes a tool, or lays it down. */
  use(tool: Tool | null): void {
    this.tool = tool;
    this.root.classList.toggle("drawing", tool === "pen");
    this.root.classList.toggle("pointing", tool === "pointer");
    if (tool === "pen" && this.canvas.width !== window.innerWidth) this.size();
    for (const hear of this.hearers) hear();
  }

  onTool(hear: () => void): void {
    this.hearers.push(hear);
  }

  /** The canvas is as large as the window; what was drawn is gone. */
  size(): void {
    this.canvas.width = window.innerWidth;
    this.canvas.height = window.innerHeight;
  }

  clear(): void {
    this.canvas.getContext("2d")?.clearRect(0, 0, this.canvas.width, this.canvas.height);
  }

  private stroke(e: PointerEvent): void {
    const paint = this.canvas.getContext("2d");
    const from = this.last;
    if (!paint || !from) return;
    paint.strokeStyle = INK;
    paint.lineWidth = WIDTH;
    paint.lineCap = "round";
    paint.beginPath();
    paint.moveTo(from.x, from.y);
    paint.lineTo(e.clientX, e.clientY);
    paint.stroke();
    this.last = { x: e.clientX, y: e.clientY };
  }
}
