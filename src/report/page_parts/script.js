for(const figure of document.querySelectorAll("figure[data-read]")){
 const read=JSON.parse(figure.dataset.read),svg=figure.querySelector("svg"),out=figure.querySelector("output");
 const line=document.createElementNS("http://www.w3.org/2000/svg","line");
 let now=-1;
 for(const [k,v] of Object.entries({y1:0,y2:svg.viewBox.baseVal.height,stroke:"#0E6A6A","stroke-width":.8,visibility:"hidden"}))line.setAttribute(k,v);
 svg.append(line);
 const show=i=>{now=i;line.setAttribute("x1",read.at[i]);line.setAttribute("x2",read.at[i]);line.setAttribute("visibility","visible");out.textContent=read.said[i];};
 const nearest=e=>{const box=svg.getBoundingClientRect(),x=(e.clientX-box.left)/box.width*svg.viewBox.baseVal.width;
  let best=0;read.at.forEach((at,i)=>{if(Math.abs(at-x)<Math.abs(read.at[best]-x))best=i;});show(best);};
 svg.addEventListener("pointermove",nearest);
 svg.addEventListener("pointerdown",nearest);
 svg.addEventListener("keydown",e=>{const by={ArrowLeft:-1,ArrowRight:1}[e.key];
  if(by){show(Math.max(0,Math.min(read.at.length-1,now<0?0:now+by)));e.preventDefault();}});
}
