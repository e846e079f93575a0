package ample.ledger.web;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import java.net.URI;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.extension.AfterEachCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ParameterContext;
import org.junit.jupiter.api.extension.ParameterResolver;

/**
 * Debian's Chromium, started once for all tests. Tests take a {@link Tabs} as a parameter; what they open is closed after
 * them.
 */
public final class InChromium implements ParameterResolver, AfterEachCallback {

    private static final ExtensionContext.Namespace NAMESPACE = ExtensionContext.Namespace.create(InChromium.class);

    /** How long a test waits for what must come, in milliseconds: machines are shared. */
    private static final double PATIENCE = 20_000;

    /** Debian's Chromium without a window, which takes half the work of the whole. */
    private static final Path CHROMIUM = Path.of("/usr/bin/chromium-headless-shell");

    /** A browser that was started. */
    record Started(Playwright playwright, Browser browser) implements AutoCloseable {

        @Override
        public void close() {
            browser.close();
            playwright.close();
        }
    }

    /** Opens pages for one test. */
    public static final class Tabs {

        private final Browser browser;
        private final List<BrowserContext> open = new ArrayList<>();

        private Tabs(Browser browser) {
            this.browser = browser;
        }

        /** A page of a browser of its own, 1280 by 800, with scripts. */
        public Page open() {
            return open(new Browser.NewContextOptions().setViewportSize(1280, 800));
        }

        public Page open(Browser.NewContextOptions options) {
            BrowserContext context = browser.newContext(options);
            context.setDefaultTimeout(PATIENCE);
            open.add(context);
            return context.newPage();
        }

        /** As {@link #open()}, with this student signed in, at the page that signing in leads back to. */
        public Page signedIn(URI root, String name) {
            Page page = open();
            SignIn.in(page, root, name);
            return page;
        }

        private void close() {
            open.forEach(BrowserContext::close);
        }
    }

    @Override
    public boolean supportsParameter(ParameterContext parameter, ExtensionContext context) {
        return parameter.getParameter().getType() == Tabs.class;
    }

    @Override
    public Object resolveParameter(ParameterContext parameter, ExtensionContext context) {
        Browser browser = context.getRoot()
                .getStore(NAMESPACE)
                .getOrComputeIfAbsent(Started.class, type -> start(), Started.class)
                .browser();
        Tabs tabs = new Tabs(browser);
        context.getStore(NAMESPACE).put(Tabs.class, tabs);
        return tabs;
    }

    @Override
    public void afterEach(ExtensionContext context) {
        Tabs tabs = context.getStore(NAMESPACE).remove(Tabs.class, Tabs.class);
        if (tabs != null) {
            tabs.close();
        }
    }

    static Started start() {
        PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE);
        Playwright playwright = Playwright.create(
                new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
        Browser browser = playwright
                .chromium()
                .launch(new BrowserType.LaunchOptions()
                        .setExecutablePath(CHROMIUM)
                        .setArgs(List.of("--no-sandbox", "--disable-gpu", "--disable-background-networking")));
        return new Started(playwright, browser);
    }
}
