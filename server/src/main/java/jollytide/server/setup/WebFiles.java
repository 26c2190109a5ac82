package jollytide.server.setup;

import java.time.Duration;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.CacheControl;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Serves the web build: hashed assets for a year, and one page for every place in the application. */
@Configuration
class WebFiles implements WebMvcConfigurer {
    @Override
    public void addResourceHandlers(ResourceHandlerRegistry registry) {
        registry.addResourceHandler("/assets/**")
                .addResourceLocations("classpath:/static/assets/")
                .setCacheControl(CacheControl.maxAge(Duration.ofDays(365)).cachePublic());
    }

    @Controller
    static class Page {
        /** The places are routes of the page itself. */
        @GetMapping({"/welcome", "/begin", "/settings", "/tank/**"})
        String page() {
            return "forward:/index.html";
        }
    }
}
