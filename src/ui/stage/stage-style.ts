/** The style of what lies over a painted chart; for the editor and for the reader's page. */
export const STAGE_STYLE = `
.chart-target{position:absolute;padding:0;border:0;border-radius:4px;background:transparent;cursor:var(--chart-cursor,pointer)}
.chart-target:hover{background:rgba(242,182,50,.14)}
.chart-target:focus-visible{outline:3px solid #16323A;outline-offset:1px;box-shadow:0 0 0 3px #F2B632 inset}
.chart-line{position:absolute;inset:0 auto 0 0;width:1px;pointer-events:none;z-index:1}
.chart-line span{position:absolute;left:0;transform:translateX(-50%);background:#16323A;color:#fff;font:600 12.500px/1.4 "Atkinson Hyperlegible Next Variable",sans-serif;padding:1px 6px;border-radius:4px;white-space:nowrap}
.chart-flag{position:absolute;max-width:230px;overflow:hidden;text-overflow:ellipsis;white-space:nowrap;background:#FFF4D6;border:2px solid #F2B632;border-radius:4px;padding:2px 7px;font:600 13.500px/1.4 "Atkinson Hyperlegible Next Variable",sans-serif;color:#16323A;pointer-events:none;z-index:2}
.chart-card{position:absolute;z-index:5;pointer-events:none;background:#fff;border:1px solid #8BA3A6;border-radius:6px;box-shadow:0 8px 26px rgba(22,50,58,.22);padding:10px 12px;color:#16323A;font:14px/1.4 "Atkinson Hyperlegible Next Variable",sans-serif}
.chart-card[hidden]{display:none}
.chart-card img{display:block;width:100%;height:130px;object-fit:cover;border-radius:4px;margin-bottom:8px;background:#EAF1EF}
.chart-card p{margin:0}.chart-card .date{font-weight:700;color:#4A6572}.chart-card .title{font-weight:700;font-size:15.500px}
.chart-card .text{margin-top:4px;display:-webkit-box;-webkit-box-orient:vertical;-webkit-line-clamp:3;overflow:hidden}
.chart-card .part{margin-top:4px;color:#4A6572}
.chart-ghost{position:absolute;left:0;top:0;z-index:4;pointer-events:none;white-space:pre;background:#FFF4D6;border:2px solid #F2B632;border-radius:4px;padding:1px 4px;font:600 13.500px/17px "Atkinson Hyperlegible Next Variable",sans-serif;color:#16323A}
.chart-veil{position:absolute;z-index:2;background:rgba(255,255,255,.78);border-radius:4px;pointer-events:none}
.chart-veil[hidden]{display:none}
.chart-tether{position:absolute;left:0;top:0;z-index:3;height:2px;margin-top:-1px;transform-origin:0 1px;background:#16323A;pointer-events:none}
.chart-guide{position:absolute;z-index:3;background:#B4481E;pointer-events:none}
.chart-said{position:absolute;width:1px;height:1px;overflow:hidden;clip-path:inset(50%);white-space:nowrap}
.chart-edit .chart-target[aria-current],.chart-board .chart-target{touch-action:none}
.chart-ghost[hidden],.chart-tether[hidden],.chart-guide[hidden]{display:none}
.chart-strip{position:sticky;bottom:0;left:0;height:30px;margin-top:-30px;overflow:hidden;background:#F6F8F7;cursor:grab;touch-action:none;z-index:2;width:max-content}
.chart-strip canvas{display:block}
.chart-strip div{position:absolute;top:0;height:30px;box-sizing:border-box;border:2px solid #16323A;border-radius:4px;background:rgba(242,182,50,.22)}
.chart-target[hidden],.chart-line[hidden],.chart-flag[hidden],.chart-strip[hidden]{display:none}
`;
