/** How practice looks; put in by the script that needs it. */
export const PRACTICE_STYLE = `body.presenting{overflow:hidden}
.practice{position:fixed;inset:0;z-index:40;background:var(--paper);color:var(--ink);display:flex;flex-direction:column;overflow-y:auto}.practice:focus{outline:none}
.x-head{display:flex;align-items:center;gap:14px;padding:8px 18px;background:var(--bar);color:var(--bar-ink)}.x-head h2{font-size:20px;margin-inline-end:auto}
.practice button,.practice select{font:inherit;min-height:44px;border:1px solid var(--edge);border-radius:8px;background:var(--paper);color:var(--ink);padding:0 14px;cursor:pointer}
.x-head button{background:none;color:var(--bar-ink);border-color:var(--bar-edge);font-weight:700}
.practice .x-main{background:var(--sun);color:var(--on-sun);border-color:var(--sun);font-weight:700;padding:0 24px}.x-main:hover{background:var(--sun-dark)}.x-main:disabled{opacity:.5}
.x-said{flex:none;margin:0;padding:12px 24px;min-height:1.5em;font-size:18px;background:var(--panel);border-bottom:1px solid var(--line)}
.x-body{flex:1;display:flex;flex-direction:column;gap:18px;padding:22px 24px 30px;max-width:1240px;width:100%;margin:0 auto;box-sizing:border-box}
.x-form{display:flex;flex-direction:column;gap:14px;max-width:420px}.x-field{display:flex;flex-direction:column;gap:4px;color:var(--quiet)}.x-tick{min-height:28px;display:flex;align-items:center;gap:8px}.x-tick input{width:20px;height:20px;accent-color:var(--accent)}
.x-ridge{display:flex;flex-wrap:nowrap;align-items:stretch;overflow-x:auto;padding:66px 4px 12px;position:relative;min-height:170px}
.x-ridge:before{content:"";position:sticky;left:0;flex:none;width:0}
.x-card{flex:none;max-width:210px;min-width:110px;text-align:start;padding:10px 12px;line-height:1.25}.x-on{position:relative;border:1px solid var(--line);border-radius:8px;background:var(--paper);display:flex;flex-direction:column;gap:4px;box-sizing:border-box}
.x-on:before{content:"";position:absolute;left:50%;top:-28px;width:2px;height:28px;background:var(--accent)}.x-on:after{content:"";position:absolute;left:50%;top:-28px;border:7px solid transparent;border-top:14px solid var(--accent);border-bottom:0;transform:translateX(-6px)}
.x-on b{color:var(--accent)}.x-on button{position:absolute;right:2px;top:2px;min-height:28px;min-width:28px;padding:0;border:0}
.practice .x-gap{position:relative;flex:1 0 44px;min-width:44px;max-width:120px;border:0;border-radius:0;background:none;padding:0}
.x-gap:before,.x-on>span:before{content:none}.x-ridge{background:linear-gradient(var(--bar),var(--bar)) 0 12px/100% 26px no-repeat}
.x-gap:not(:disabled):after,.x-gap.x-near:after{content:"";position:absolute;left:50%;top:-30px;bottom:4px;width:26px;margin-left:-13px;border:2px dashed var(--accent);border-radius:8px;background:rgba(127,196,184,.25)}
.x-gap:not(:disabled):hover:after,.x-gap:focus-visible:after,.x-gap.x-near:after{background:var(--sun);border-color:var(--ink)}.x-gap:disabled{cursor:default}
.x-pile{display:flex;flex-wrap:wrap;gap:10px}.practice .x-pile .x-card{min-height:64px;font-weight:700;touch-action:none;box-shadow:0 1px 3px rgba(22,50,58,.2)}.x-pile .x-card[aria-pressed=true]{background:var(--wash);border-color:var(--sun);outline:3px solid var(--sun)}.x-pile .x-card:hover{background:var(--hover)}
.x-ghost{position:fixed;left:0;top:0;z-index:50;pointer-events:none;opacity:.9;font-weight:700;border:1px solid var(--edge);border-radius:8px;background:var(--wash)}
.x-tools{display:flex;flex-wrap:wrap;gap:10px}.x-result{margin:0;padding-inline-start:28px;display:flex;flex-direction:column;gap:6px;font-size:18px}.x-result b{color:var(--accent)}.x-off{color:var(--today)}.x-off span{color:var(--quiet)}
 .x-form input:not([type]){font:inherit;min-height:44px;border:1px solid var(--edge);border-radius:8px;padding:0 12px;background:var(--paper);color:var(--ink)}.x-form [hidden]{display:none}.x-paper{display:none}
@media print{body>:not(.x-paper){display:none!important}.x-paper{display:block;color:#000;background:#fff}.x-paper section{break-after:page;padding:0 4mm}.x-paper li{white-space:pre-line;margin:0 0 5mm;font-size:12pt;line-height:1.5;break-inside:avoid}.x-name{border-bottom:1px solid #000;width:60%}.x-paper h2{font-size:16pt;margin:0 0 4mm}}
@media(max-width:560px){.x-body{padding:14px 12px}.x-said{padding:10px 14px;font-size:16px}}`;
