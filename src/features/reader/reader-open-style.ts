/** The style of what an event opened from the chart, and a picture shown large, look like. */
export const OPEN_STYLE = `.hung{position:absolute;overflow:auto;background:var(--paper);border:0 solid var(--ink);border-width:3px 0 0 3px;padding:18px 22px 24px;box-shadow:0 10px 26px rgba(22,50,58,.14);z-index:3;overscroll-behavior:contain;scroll-padding-top:60px}
.hung[hidden],.rope[hidden]{display:none}
.hung:focus,.hung:focus-visible{outline:none}
.rope{position:absolute;width:3px;z-index:3;pointer-events:none}
.over{display:none}
.hung .story{max-width:none}
.hung .story .date{margin-inline-end:300px;font-size:18px}
.hung .story h2{font-size:32px;margin-bottom:8px;text-wrap:pretty}
.hung .between{margin:0 0 12px}
.hung .between a{font-weight:700}
.hung .under{display:flex;flex-wrap:wrap;gap:4px 18px;margin:0 0 12px;font-size:14px;color:var(--quiet)}
.hung .under span{display:flex;align-items:center;gap:7px}
.hung{--most:min(46vh,480px)}
.hung .more-media{display:grid;grid-template-columns:repeat(auto-fill,minmax(220px,1fr));gap:14px;align-items:start}
.hung .more-media{--most:220px}.hung .more-media figure{margin:0}
.hung figure a{display:inline-block;max-width:100%;cursor:zoom-in}
.hung .beside{margin-top:16px}
.ways-on{float:right;display:flex;gap:8px;position:sticky;top:0;z-index:2;margin:0 0 6px 14px}
.ways-on a{display:flex;align-items:center;justify-content:center;min-width:44px;min-height:44px;padding:0 13px;border:1px solid var(--edge);border-radius:6px;background:var(--paper);color:var(--ink);font-weight:700;text-decoration:none}
.ways-on a:hover{background:var(--hover)}.ways-on a[aria-disabled]{opacity:.4}
.parts{margin:18px 0 0;clear:both}
.parts h3{font:700 15px/1.4 var(--type),sans-serif;color:var(--quiet);margin:0 0 6px}
.parts svg{display:block;max-width:100%;height:auto}
.parts ul{list-style:none;margin:0;padding:0}.parts li{border-top:1px solid var(--line)}.parts li a{display:block;padding:10px 0;color:var(--ink);text-decoration:none}.parts li strong{color:var(--accent);margin-inline-end:8px}
.parts a:hover .hit,.parts a:focus .hit{fill:rgba(242,182,50,.18)}
[data-open]:not([data-open=""]) .zoom,[data-open]:not([data-open=""]) .foot{display:none}
.narrow .over{display:block;cursor:pointer}.narrow .chart-live,.narrow .key{display:none}
.narrow .hung{position:static;min-height:calc(100dvh - 150px);box-shadow:none;overflow:visible;border-inline-start-width:0;padding:14px 16px 76px;max-width:760px;margin:0 auto;touch-action:pan-y pinch-zoom}
.narrow .hung .story .date{margin-inline-end:0}
.narrow .hung .story h2{font-size:26px}
.narrow .hung{--most:52vh}
.narrow .ways-on{position:fixed;float:none;left:0;right:0;bottom:0;top:auto;margin:0;padding:8px 16px;background:var(--panel);border-top:1px solid var(--line);z-index:6}
.narrow .ways-on a:last-child{flex:1}
.large{border:0;padding:0;margin:0;width:100vw;height:100dvh;max-width:none;max-height:none;background:#0E2228;color:var(--bar-ink)}
.large[open]{display:flex;flex-direction:column}
.large .stage{flex:1;min-height:0;display:flex;align-items:center;justify-content:center;overflow:auto;touch-action:pinch-zoom pan-x pan-y}
.large .fit{border:0;padding:0;background:none;cursor:zoom-in;display:flex;max-width:100%;max-height:100%;min-height:0;margin:auto}
.large .fit img{display:block;max-width:100%;max-height:100%;object-fit:contain}
.large.enlarged .fit{max-width:none;max-height:none;cursor:zoom-out}.large.enlarged .fit img{max-width:none;max-height:none;min-width:100vw}
.bar-large{display:flex;flex-wrap:wrap;align-items:center;gap:8px 10px;padding:10px 18px;background:var(--bar)}
.bar-large div{flex:1 1 260px;min-width:0}.bar-large div span{color:var(--sun);font-weight:700;margin-inline-end:10px}.bar-large p{margin:0;font-size:14px;color:var(--bar-quiet)}
.bar-large button{font:inherit;font-weight:700;color:var(--bar-ink);background:none;border:1px solid var(--bar-edge);border-radius:6px;min-width:44px;min-height:44px;padding:0 13px;cursor:pointer}
.bar-large button:hover:enabled{background:var(--bar-hover)}.bar-large button:disabled{opacity:.4;cursor:default}`;
