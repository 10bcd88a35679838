/**
 * The script of the reader's page. Everything can be read without it; it shows one view at a time, moves the reading
 * line, and walks the events by arrow keys. Its hash stands in the page's policy.
 */
export const READER_SCRIPT = `
(function(){
var views=["chart","read"],links=document.querySelectorAll("[data-to]"),events=[].slice.call(document.querySelectorAll(".event")),line=document.querySelector(".strip .line");
function view(){var h=location.hash.slice(1);if(views.indexOf(h)>=0)return h;if(h.indexOf("e-")===0)return"read";return window.innerWidth<=560?"read":"chart"}
function show(){var v=view();document.body.setAttribute("data-view",v);links.forEach(function(a){if(a.getAttribute("data-to")===v)a.setAttribute("aria-current","page");else a.removeAttribute("aria-current")});
if(location.hash.indexOf("#e-")===0){var e=document.getElementById(location.hash.slice(1));if(e){e.scrollIntoView();e.focus({preventScroll:true})}}else window.scrollTo(0,0);mark()}
function current(){var best=0;for(var i=0;i<events.length;i++)if(events[i].getBoundingClientRect().top<window.innerHeight*0.45)best=i;return best}
function mark(){if(!line||!events.length)return;var x=events[current()].getAttribute("data-at");line.style.display=document.body.getAttribute("data-view")==="read"?"block":"none";line.style.left=x+"%"}
var waiting=false;
window.addEventListener("scroll",function(){if(waiting)return;waiting=true;requestAnimationFrame(function(){waiting=false;mark()})},{passive:true});
window.addEventListener("hashchange",show);
document.addEventListener("keydown",function(e){if(e.altKey||e.ctrlKey||e.metaKey||/^(INPUT|VIDEO|AUDIO)$/.test(e.target.tagName))return;
if(document.body.getAttribute("data-view")!=="read"||(e.key!=="ArrowRight"&&e.key!=="ArrowLeft"))return;
var n=events[current()+(e.key==="ArrowRight"?1:-1)];if(n){e.preventDefault();history.replaceState(null,"","#"+n.id);n.scrollIntoView();n.focus({preventScroll:true});mark()}});
show();
})();
`;
