/** Ticks once a second, also while the page is away: a page's own timers are slowed then, a worker's are not. */
setInterval(() => postMessage(null), 1000);
