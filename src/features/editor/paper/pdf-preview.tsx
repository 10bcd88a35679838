"use client";

import type { PDFDocumentProxy } from "pdfjs-dist";
import { useEffect, useRef, useState } from "react";
import { WORDS } from "@/core/words/paper";
import { Button } from "@/ui/controls/button";
import { Problem } from "@/ui/controls/problem";

/** Pages of a PDF are shown so high at most, px. */
const MOST_HEIGHT = 520;
/** What is left around them, px. */
const FRAME = 8;

/** Shows a PDF as it is: the file itself is drawn, page by page. */
export function PdfPreview({ url }: { url: string }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const [doc, setDoc] = useState<PDFDocumentProxy | null>(null);
  const [page, setPage] = useState(1);
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => {
    let loading: { destroy: () => Promise<void> } | null = null;
    let wanted = true;
    void import("pdfjs-dist/legacy/build/pdf.mjs")
      .then(async ({ getDocument, GlobalWorkerOptions }) => {
        GlobalWorkerOptions.workerSrc = "/reader/pdf-worker.js";
        const task = getDocument({ url, isEvalSupported: false, useWasm: false });
        loading = task;
        const found = await task.promise;
        if (wanted) setDoc(found);
      })
      .catch(() => wanted && setProblem(WORDS.noPreview));
    return () => {
      wanted = false;
      void loading?.destroy();
    };
  }, [url]);
  useEffect(() => {
    const target = canvas.current;
    if (!doc || !target) return;
    let stop: (() => void) | null = null;
    let wanted = true;
    void doc.getPage(page).then((found) => {
      if (!wanted) return;
      const whole = found.getViewport({ scale: 1 });
      const width = target.parentElement!.clientWidth - 2 * FRAME;
      const scale = Math.min(width / whole.width, MOST_HEIGHT / whole.height);
      const sharp = Math.min(2, window.devicePixelRatio || 1);
      const viewport = found.getViewport({ scale: scale * sharp });
      target.width = Math.round(viewport.width);
      target.height = Math.round(viewport.height);
      target.style.width = `${Math.round(viewport.width / sharp)}px`;
      const drawing = found.render({ canvas: target, viewport });
      stop = () => drawing.cancel();
      drawing.promise.then(
        () => target.setAttribute("data-drawn", String(page)),
        () => {},
      );
    });
    return () => {
      wanted = false;
      stop?.();
    };
  }, [doc, page]);
  return (
    <div className="mt-1">
      <div className="border border-line bg-panel p-2">
        <canvas
          ref={canvas}
          role="img"
          aria-label={WORDS.previewOf(page, doc?.numPages ?? 1)}
          className="mx-auto block bg-white"
        />
      </div>
      <Problem text={problem} className="mt-1" />
      {doc && doc.numPages > 1 ? (
        <div className="mt-1.5 flex items-center gap-3">
          <Button size="small" disabled={page === 1} onClick={() => setPage(page - 1)}>
            {WORDS.before}
          </Button>
          <span className="text-[14px] text-quiet">{WORDS.page(page, doc.numPages)}</span>
          <Button size="small" disabled={page === doc.numPages} onClick={() => setPage(page + 1)}>
            {WORDS.after}
          </Button>
        </div>
      ) : null}
    </div>
  );
}
