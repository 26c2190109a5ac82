package jollytide.server.setup;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.io.ClassPathResource;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
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
        @GetMapping({"/", "/index.html", "/welcome", "/begin", "/help", "/settings", "/house", "/parts", "/tank/**"})
        ResponseEntity<String> page(HttpServletRequest request) throws IOException {
            String html = new ClassPathResource("static/index.html").getContentAsString(StandardCharsets.UTF_8);
            return ResponseEntity.ok()
                    .cacheControl(CacheControl.noStore())
                    .contentType(new MediaType(MediaType.TEXT_HTML, StandardCharsets.UTF_8))
                    .body(html.replace("%STYLE_NONCE%", PagePolicy.nonce(request)));
        }
    }
}
