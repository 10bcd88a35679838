import { STAGE_STYLE } from "@/ui/stage/stage-style";
import { OPEN_STYLE } from "./reader-open-style";
import { OUTSIDE_STYLE } from "./reader-outside-style";
import { COLOURS } from "@/core/timeline/looks";

/** The style sheet of the reader's page; it stands in the page, which loads nothing but fonts and media. */
export const READER_STYLE = `${STAGE_STYLE}
*{box-sizing:border-box}
@font-face{font-family:"Atkinson Hyperlegible Next Variable";src:url(/fonts/atkinson-hyperlegible-next-latin-wght-italic.woff2) format("woff2");font-weight:200 800;font-style:italic;font-display:swap}
html{color:var(--ink);background:var(--paper);font:16px/1.5 var(--type),sans-serif;scroll-padding-top:120px}
body{margin:0}svg,canvas{direction:ltr}
h1,h2,h3{font-family:var(--head),sans-serif;font-weight:650;line-height:1.15;margin:0}
a{color:var(--accent)}
:focus-visible{outline:3px solid var(--sun);outline-offset:2px}
.event:focus{outline:none}
.bar{display:flex;align-items:center;gap:14px;min-height:56px;padding:6px 18px;background:var(--bar);color:var(--bar-ink)}
.bar h1{font-size:19px}
.bar p{margin:0;font-size:13px;color:var(--bar-quiet)}
.bar nav{margin-inline-start:auto;display:flex;gap:10px;flex-shrink:0}
.bar nav a{color:var(--bar-ink);text-decoration:none;font-weight:700;border:1px solid var(--bar-edge);border-radius:6px;padding:6px 14px}
.bar nav button{font:inherit;color:var(--bar-ink);background:none;font-weight:700;border:1px solid var(--bar-edge);border-radius:6px;padding:6px 14px;cursor:pointer}.bar nav button:hover{background:var(--bar-hover)}.bar nav [hidden],.go[hidden]{display:none}@media(max-width:860px){.bar nav button{display:none}}@media(min-width:861px){.ways [data-deed]{display:none}}button.go{font:inherit;font-weight:700;cursor:pointer}.bar nav a[aria-current]{background:var(--bar-hover)}
.bar h1 a{color:inherit;text-decoration:none}.bar h1 a:hover{text-decoration:underline}
.note{background:var(--wash);border-bottom:1px solid var(--line);padding:8px 18px;font-size:15px}
.opening{display:grid;grid-template-columns:minmax(0,1fr) minmax(0,46%);gap:44px;align-items:center;max-width:1240px;margin:0 auto;padding:44px 28px 30px}
.opening.alone{grid-template-columns:minmax(0,760px)}
.opening.band{grid-template-columns:minmax(0,1fr);gap:26px;padding-top:24px}.opening.band figure{grid-row:1}.opening.band figure img{width:100%;height:clamp(150px,38vh,420px);object-fit:cover}.opening.band .said{max-width:820px}
.opening h2{font-size:48px;line-height:1.06;text-wrap:balance}
.opening .by{font-size:18px;margin:12px 0 0}
.opening .facts{color:var(--quiet);margin:10px 0 0}
.opening .text{font-size:18px;margin-top:18px}
.opening .cats{display:flex;flex-wrap:wrap;gap:5px 16px;list-style:none;margin:12px 0 0;padding:0;font-size:14px}
.opening .cats li{display:flex;align-items:center;gap:7px}
.opening figure{margin:0}
.opening figure{--most:min(560px,62vh)}.opening figure img{margin:0 auto}
.ways{display:flex;flex-wrap:wrap;gap:12px;margin:22px 0 0}
.go{display:inline-flex;align-items:center;min-height:44px;padding:0 20px;border-radius:6px;font-weight:700;text-decoration:none;background:var(--sun);color:var(--on-sun);border:1px solid var(--sun)}
.go:hover{background:var(--sun-dark)}
.go.quiet{background:var(--paper);color:var(--ink);border-color:var(--edge)}.go.quiet:hover{background:var(--hover)}
.hint{font-size:14px;color:var(--quiet);margin:12px 0 0}
.whole{display:block;max-width:1240px;margin:0 auto;padding:6px 0 30px}
.text{hyphens:auto}.text p{margin:0 0 .7em}.text ul,.text ol{margin:0 0 .7em 1.3em;padding:0}.text .center{text-align:center}.text .right{text-align:right}.text h3{font-size:1.25em;margin:1em 0 .4em}.text h4{font-family:var(--head),sans-serif;font-weight:650;font-size:1.08em;margin:.9em 0 .3em}.text blockquote{font-family:var(--head),sans-serif;margin:0 0 .7em;padding-inline-start:.8em;border-inline-start:3px solid var(--tick)}.text blockquote footer{font-family:var(--type),sans-serif;font-size:.8em;color:var(--quiet)}
.key{display:flex;flex-wrap:wrap;gap:6px 18px;list-style:none;margin:0;padding:10px 28px;font-size:14px;border-top:1px solid var(--line);border-bottom:1px solid var(--line);background:var(--panel)}
.key li,.cat{display:flex;align-items:center;gap:7px}
.chart{padding:12px 20px 28px;overflow-x:auto}
.chart svg,.strip svg,.whole svg{display:block;margin:0 auto;max-width:100%;height:auto}
.hit{cursor:pointer}.chart a:hover .hit,.chart a:focus .hit{fill:rgba(242,182,50,.18)}
.chart-live{position:relative;margin:0 auto;max-width:1240px;overflow:hidden}
.live .chart{display:none}#chart:not(.live){position:relative}#chart:not(.live)>.chart-live{position:absolute;inset:0 0 auto;visibility:hidden}
.key button{display:flex;align-items:center;gap:7px;font:inherit;color:inherit;background:none;border:0;border-radius:6px;padding:4px 7px;margin:-4px -7px;cursor:pointer}
.key button:hover{background:var(--hover)}.key button[aria-pressed=false]{color:var(--quiet);text-decoration:line-through}.key button[aria-pressed=false] svg{opacity:.3}
.zoom{display:flex;flex-wrap:wrap;gap:8px;align-items:center;justify-content:center;padding:10px 16px 26px}
.zoom p{margin:0 10px 0 0;font-size:14px;color:var(--quiet)}
.zoom button,.list button{font:inherit;font-weight:700;color:var(--ink);background:var(--paper);border:1px solid var(--edge);border-radius:6px;min-width:40px;padding:6px 12px;cursor:pointer}
.zoom button:hover:enabled,.list button:hover{background:var(--hover)}.zoom button:disabled{opacity:.45;cursor:default}
.list{border:0;border-radius:8px;padding:20px 24px;max-width:520px;width:calc(100vw - 32px);max-height:80vh;color:var(--ink);box-shadow:0 8px 40px rgba(22,50,58,.35)}
.list::backdrop{background:rgba(22,50,58,.45)}.list h2{font-size:22px;margin-bottom:10px}.list ul{list-style:none;margin:0 0 14px;padding:0}.list li{border-top:1px solid var(--line)}.list a{display:block;padding:8px 0;text-decoration:none;color:var(--ink)}.list strong{color:var(--accent);margin-inline-end:8px}
.w380,.w700,.w1000{display:none}
.strip{position:sticky;top:0;z-index:5;background:var(--panel);border-bottom:1px solid var(--line);padding:4px 18px;overflow:hidden}
.strip .hold{position:relative;max-width:1240px;margin:0 auto}
.strip .line{position:absolute;top:0;bottom:0;width:2px;background:var(--sun);left:0;display:none}
.events{max-width:1200px;margin:0 auto;padding:8px 28px 60px;list-style:none}
.event{display:grid;grid-template-columns:200px minmax(0,600px) minmax(0,250px);gap:0 46px;padding:18px 0}
.event.part{margin-inline-start:22px}.event.part-2{margin-inline-start:44px}.event.part-3{margin-inline-start:66px}
.event.part .when{padding-inline-start:16px;border-inline-start:4px solid var(--line)}
@media(max-width:760px){.event.part{margin-inline-start:10px}.event.part-2{margin-inline-start:20px}.event.part-3{margin-inline-start:30px}}
.gap{grid-column:2;grid-row:1;display:flex;align-items:center;gap:12px;color:var(--quiet);font-weight:700;font-size:14px;margin-bottom:14px}
.gap:before,.gap:after{content:"";flex:1;border-top:2px dotted var(--dots)}
.when{grid-column:1;grid-row:1/3}.story{grid-column:2;grid-row:2}.beside{grid-column:3;grid-row:2}
.when .year{font:650 34px/1.08 var(--head),sans-serif;margin:0 0 8px;overflow-wrap:break-word;text-wrap:balance}
.when .year.long{font-size:22px}
#read .date.same{display:none}
.when p{margin:0 0 8px;font-size:14px;color:var(--quiet)}
.when .cat,.when .of{color:var(--ink)}
.story .date{font-weight:700;font-size:17px;margin:0 0 4px}
.story h2{font-size:29px;margin:0 0 12px}
.story h2.important:after{content:"";display:block;width:56px;border-bottom:4px solid var(--sun);margin-top:6px}
.story .text{font-size:18px}
figure{margin:0 0 16px}
figure img,figure video{display:block;width:min(100%,var(--w,100%),calc(var(--most)*var(--r,1.6)));height:auto;border-radius:8px;background:var(--hover)}
figure picture{display:contents}
figure audio{width:100%}
${OUTSIDE_STYLE}
.spoken{margin:6px 0 0;font-size:15px}.spoken summary{cursor:pointer;font-weight:700;color:var(--accent);min-height:24px}.spoken p{margin:6px 0 0;white-space:pre-line}
.listen{display:block;margin:14px auto 0;padding:9px 16px;border:1px solid var(--edge);border-radius:8px;background:var(--paper);color:var(--accent);font:inherit;font-weight:700;cursor:pointer}
body{--most:min(400px,46vh)}
figure video:not([class]){width:100%}
figcaption b{color:var(--ink)}
figcaption{font-size:14px;color:var(--quiet);margin-top:5px}
.beside{font-size:14px}
.beside h3{font:inherit;font-weight:700;color:var(--quiet);margin:0 0 2px}
.beside div{margin-bottom:14px;overflow-wrap:anywhere}.beside p{margin:0 0 4px}
.foot{border-top:1px solid var(--line);background:var(--panel);padding:16px 28px;font-size:14px;color:var(--quiet)}
.chapter{list-style:none;margin:46px 0 10px;padding:14px 0 0;border-top:3px solid var(--ink)}.chapter:first-child{margin-top:10px}.chapter h2{font-size:34px}.chapter .text{font-size:18px;max-width:68ch;margin-top:10px}.chapter:focus,.closing:focus{outline:none}
.contents{max-width:1240px;margin:0 auto;padding:18px 28px 0}.contents h2{font-size:17px}.contents ol{margin:6px 0 0;padding:0 0 0 22px;columns:2;max-width:820px}
.closing{max-width:1240px;margin:0 auto;padding:26px 28px 50px;border-top:3px solid var(--ink)}.closing .text{font-size:18px;max-width:68ch}.closing h3{font-size:20px;margin:22px 0 8px}.credits{margin:0;padding:0 0 0 20px;max-width:90ch}.credits li{margin:0 0 5px}.used{color:var(--quiet);font-size:14px}
.empty{max-width:600px;margin:40px auto;padding:0 28px}
${Object.keys(COLOURS)
  .map((name) => `.event .${name},.hung .${name},.text .${name}{color:var(--c-${name})}`)
  .join("")}
[data-view]:not([data-view=map]):not([data-beside=map]) #map,[data-view]:not([data-view=index]):not([data-beside=index]) #index,[data-view=index] #begin,[data-view=index] #chart,[data-view=index] #read,[data-view=map] #begin,[data-view=map] #chart,[data-view=map] #read,[data-view=begin] #chart,[data-view=begin] #read,[data-view=chart] #begin,[data-view=chart] #read,[data-view=read] #begin,[data-view=read] #chart{display:none}
[data-view=begin] .bar>div{position:absolute;width:1px;height:1px;overflow:hidden;clip-path:inset(50%);white-space:nowrap}
.between{color:var(--quiet);margin:0 0 12px;font-size:16px}
.story .between{display:none}.hung .between{display:block}
${OPEN_STYLE}
@media (max-width:1100px){.w1240{display:none}.w1000{display:block}}
@media (max-width:900px){.event{grid-template-columns:150px minmax(0,1fr)}.beside{grid-column:2;grid-row:3}.opening{grid-template-columns:1fr}.opening figure{grid-row:1}}
@media (max-width:760px){.w1000{display:none}.w700{display:block}}
@media (max-width:560px){.w700{display:none}.w380{display:block}.chart{padding:8px 0 20px}.strip{padding:2px 4px}.opening{padding:18px 16px;gap:20px}.opening h2{font-size:31px}.chapter h2{font-size:26px}.contents,.closing{padding-inline-start:16px;padding-inline-end:16px}.contents ol{columns:1}.opening .text{font-size:17px}.said{display:flex;flex-direction:column}.said .text{order:2}.said .hint{order:1}.opening figure{--most:30vh}.ways .go{flex:1 1 100%;justify-content:center}.whole{padding:0 4px 18px}.key{padding:8px 16px}.events{padding:4px 16px 40px}.event{display:block;border-bottom:1px solid var(--line)}.when{grid-column:1;grid-row:1/3}.story{grid-column:2;grid-row:2}.beside{grid-column:3;grid-row:2}
.when .year{font-size:30px}.when{margin-bottom:10px}.story .text{font-size:17px}.story h2{font-size:24px}.bar{padding:6px 12px}.bar h1{font-size:16px}.bar nav{gap:6px}.bar nav a{padding:5px 9px}}
@media (prefers-reduced-motion:no-preference){html{scroll-behavior:smooth}.strip .line{transition:left .15s ease-out}}
#map{scroll-margin-top:100vh;max-width:1240px;margin:0 auto;padding:16px 28px 40px}.earth{position:relative;height:min(62vh,640px);border:1px solid var(--line);border-radius:8px;overflow:hidden}.frame{position:relative}.earth[hidden]{display:none}.earth.own{height:auto;margin:0 auto}.which{display:flex;gap:6px;margin:0 0 10px}.which button{min-height:40px;padding:0 16px;border:1px solid var(--edge);border-radius:8px;background:var(--paper);color:var(--ink);font:inherit;font-weight:700;cursor:pointer}.which button[aria-pressed=true]{background:var(--bar);border-color:var(--ink);color:var(--bar-ink)}.said-of-map{color:var(--quiet);margin:8px 0 0}.on-ridge{margin-top:10px;padding:6px 0;border-bottom:1px solid var(--line);cursor:pointer;touch-action:pan-y}.on-ridge .hold{position:relative}.on-ridge svg{display:block;width:100%;height:auto}.on-ridge .hold{overflow:hidden}.window{position:absolute;top:0;bottom:0;border:solid var(--sun);border-width:2px 6px;border-radius:4px;box-shadow:0 0 0 2000px color-mix(in srgb,var(--paper) 72%,transparent);cursor:grab}.window[hidden]{display:none}.near{position:absolute;right:10px;bottom:10px;display:flex;flex-direction:column;gap:6px}.near button,.time button{min-width:40px;min-height:40px;border:1px solid var(--edge);border-radius:8px;background:var(--paper);color:var(--ink);font:inherit;font-weight:700;cursor:pointer}.time{display:flex;flex-wrap:wrap;gap:12px;align-items:center;margin-top:10px}.time button{padding:0 14px}.time input{flex:1 1 180px;accent-color:var(--accent);min-height:28px}#map [role=status]{margin:6px 0 0;color:var(--quiet);font-size:15px}.places{list-style:none;margin:14px 0 0;padding:0;columns:2 320px;column-gap:36px}.places li{break-inside:avoid}.places a{display:grid;grid-template-columns:minmax(0,1fr) auto;gap:0 12px;padding:7px 8px;border-radius:6px;color:inherit;text-decoration:none}.places a:hover,.places a:focus{background:var(--hover)}.places span{color:var(--quiet);font-size:15px}.places b{grid-row:1/span 2}@media(max-width:560px){#map{padding:10px 12px 30px}}
#index{max-width:1000px;margin:0 auto;padding:20px 28px 50px}#index h2{font-size:26px;margin-bottom:10px}#index .found{min-height:100vh}#index .away{content-visibility:hidden;height:0;overflow:hidden}#index h3{font-size:20px;margin:22px 0 4px}#index ul{list-style:none;margin:0;padding:0}#index .many{content-visibility:auto;contain-intrinsic-size:auto 1760px}#index li{border-top:1px solid var(--line)}#index summary{display:flex;align-items:baseline;gap:10px;padding:9px 6px;cursor:pointer;border-radius:6px}#index summary svg{flex:none;align-self:center}#index summary b{flex:none;min-width:6.5em;color:var(--accent)}#index summary:hover{background:var(--hover)}#index summary[aria-current]{background:var(--wash);box-shadow:inset 3px 0 var(--sun)}#index .more{padding:4px 6px 16px 16px;--most:300px}#index .more .text{font-size:16px}#index .more p{margin:0 0 8px}#index .lead a{display:inline-block;min-height:24px;margin-inline-end:14px;font-weight:700}
.filter:empty{display:none}[data-view] .filter:empty{display:block;min-height:54px}.filter{display:flex;min-height:54px;box-sizing:border-box;flex-wrap:wrap;align-items:center;gap:8px 12px;padding:8px 28px;font-size:15px}#index .filter{padding:0 0 6px}.filter input,.filter select{font:inherit;color:inherit;background:var(--paper);min-height:38px;border:1px solid var(--edge);border-radius:6px;padding:0 10px}.filter input{flex:0 1 260px;min-width:150px}.filter label{display:flex;align-items:center;gap:8px;color:var(--quiet)}.filter p{margin:0;color:var(--quiet)}.filter button{font:inherit;font-weight:700;color:var(--ink);background:var(--paper);border:1px solid var(--edge);border-radius:6px;min-height:38px;padding:0 12px;cursor:pointer}.filter [hidden]{display:none}
@media(min-width:1000px){[data-beside] main{display:grid;grid-template-columns:minmax(0,1fr) 400px;align-items:start}[data-beside] main>:not(#index):not(#map){grid-column:1}[data-beside=index] #index,[data-beside=map] #map{grid-column:2;grid-row:1/9;position:sticky;top:0;height:100vh;overflow-y:auto;border-inline-start:1px solid var(--line);padding:14px 18px 40px;margin:0;max-width:none;scroll-margin-top:0}[data-beside] .events{padding-inline-start:22px;padding-inline-end:22px}[data-beside] .event{grid-template-columns:150px minmax(0,1fr)}[data-beside] .event .beside{grid-column:2;grid-row:3}[data-beside=index] #chart .filter{display:none}[data-beside=map] .places{columns:1}[data-beside=map] .earth{height:300px}}
[data-view] #begin,[data-view] #chart,[data-view] #index,[data-view] #read{scroll-margin-top:100vh}
@media(max-width:560px){.bar{flex-wrap:wrap}.bar nav{margin-inline-start:0;flex:1 1 100%;overflow-x:auto}#index{padding:14px 16px 40px}#index summary{flex-wrap:wrap;gap:2px 10px}#index summary span{flex:1 1 100%}.filter{padding:8px 16px}}
@media print{#index,.filter,#map,.chart-live,.zoom,.ways,.hint,.whole,.over,.hung,.rope{display:none}.live .chart{display:block}.bar nav,.strip,.note{display:none}[data-view] #begin,[data-view] #read,[data-view] #chart{display:block}.event{break-inside:avoid}}
`;

/** What is different where a page stands in a frame, or on paper. */
export const VARIANT_STYLE = {
  page: "",
  embed: `.bar{min-height:44px;padding:4px 12px}.bar h1{font-size:16px}.bar h1 a{color:var(--bar-ink)}.key{padding:6px 16px}.foot{padding:6px 16px;font-size:13px}.zoom{padding:6px 16px 10px}`,
  print: `@page{size:A4 landscape;margin:12mm}
.bar{background:none;color:var(--ink);padding:6px 0;min-height:0}.bar svg path:first-child{stroke:#8A6400}.bar h1{font-size:24px}.bar p{color:var(--quiet)}
.w1030 svg{width:100%}.chart{padding:6px 0}.key{padding:6px 0}#chart{break-after:page}
.opening{padding:0 0 14px;max-width:none}.opening h2{font-size:32px}#begin{break-after:page}.events{padding:0;max-width:none}
.event{break-inside:avoid;grid-template-columns:150px minmax(0,1fr) minmax(0,230px);gap:0 28px;padding:12px 0;border-top:1px solid var(--line)}
.story .text{font-size:15px}.story h2{font-size:20px}.when .year{font-size:26px}.when .year.long{font-size:19px}
.story{display:flow-root}.story figure{float:right;clear:right;width:46%;margin:0 0 8px 20px}body{--most:200px}figure img{margin-inline-start:auto}.story figcaption{text-align:end}.beside a[href^=http]:after,figcaption a:after{content:" (" attr(href) ")";overflow-wrap:anywhere}
.foot{background:none;padding:10px 0}.contents,.closing{padding-inline-start:0;padding-inline-end:0}.chapter{break-after:avoid}
@media screen{body.print{max-width:1100px;margin:0 auto;padding:24px}}`,
};
