/** The style of what lies over a painted chart; for the editor and for the reader's page. */
export const STAGE_STYLE = `
.chart-target{position:absolute;padding:0;border:0;border-radius:4px;background:transparent;cursor:var(--chart-cursor,pointer)}
.chart-target:hover{background:rgba(242,182,50,.14)}
.chart-target:focus-visible{outline:3px solid var(--ink);outline-offset:1px;box-shadow:0 0 0 3px var(--sun) inset}
.chart-line{position:absolute;inset:0 auto 0 0;width:1px;pointer-events:none;z-index:1}
.chart-line span{position:absolute;left:0;transform:translateX(-50%);background:var(--bar);color:var(--bar-ink);font:600 12.500px/1.4 var(--type),sans-serif;padding:1px 6px;border-radius:4px;white-space:nowrap}
.chart-flag{position:absolute;max-width:230px;overflow:hidden;text-overflow:ellipsis;white-space:nowrap;background:var(--wash);border:2px solid var(--sun);border-radius:4px;padding:2px 7px;font:600 13.500px/1.4 var(--type),sans-serif;color:var(--ink);pointer-events:none;z-index:2}
.chart-card{position:absolute;z-index:5;pointer-events:none;background:var(--paper);border:1px solid var(--edge);border-radius:6px;box-shadow:0 8px 26px rgba(22,50,58,.22);padding:10px 12px;color:var(--ink);font:14px/1.4 var(--type),sans-serif}
.chart-card[hidden]{display:none}
.chart-card img{display:block;width:100%;height:130px;object-fit:cover;border-radius:4px;margin-bottom:8px;background:var(--hover)}
.chart-card p{margin:0}.chart-card .date{font-weight:700;color:var(--quiet)}.chart-card .title{font-weight:700;font-size:15.500px}
.chart-card .text{margin-top:4px;display:-webkit-box;-webkit-box-orient:vertical;-webkit-line-clamp:3;overflow:hidden}
.chart-card .part{margin-top:4px;color:var(--quiet)}
.chart-ghost{position:absolute;left:0;top:0;z-index:4;pointer-events:none;white-space:pre;background:var(--wash);border:2px solid var(--sun);border-radius:4px;padding:1px 4px;font:600 13.500px/17px var(--type),sans-serif;color:var(--ink)}
.chart-veil{position:absolute;z-index:2;background:color-mix(in srgb,var(--paper) 78%,transparent);border-radius:4px;pointer-events:none}
.chart-veil[hidden]{display:none}
.chart-tether{position:absolute;left:0;top:0;z-index:3;height:2px;margin-top:-1px;transform-origin:0 1px;background:var(--bar);pointer-events:none}
.chart-guide{position:absolute;z-index:3;background:var(--today);pointer-events:none}
.chart-said{position:absolute;width:1px;height:1px;overflow:hidden;clip-path:inset(50%);white-space:nowrap}
.chart-edit .chart-target[aria-current],.chart-board .chart-target{touch-action:none}
.chart-ghost[hidden],.chart-tether[hidden],.chart-guide[hidden]{display:none}
.chart-strip{position:sticky;bottom:0;left:0;height:30px;margin-top:-30px;overflow:hidden;background:var(--panel);cursor:grab;touch-action:none;z-index:2;width:max-content}
.chart-strip canvas{display:block}
.chart-strip div{position:absolute;top:0;height:30px;box-sizing:border-box;border:2px solid var(--ink);border-radius:4px;background:rgba(242,182,50,.22)}
.chart-target[hidden],.chart-line[hidden],.chart-flag[hidden],.chart-strip[hidden]{display:none}
`;
