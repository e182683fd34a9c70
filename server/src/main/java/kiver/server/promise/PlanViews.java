package kiver.server.promise;

import java.util.List;
import kiver.core.promise.Offer;
import kiver.server.crop.CropBook;
import kiver.server.order.OrderBook;
import kiver.server.order.Site;
import kiver.server.plan.Wish;
import kiver.server.space.RateBook;
import org.springframework.stereotype.Component;

/** Puts plans into the form the screens show. */
@Component
public class PlanViews {

    private final PromiseService promises;
    private final RateBook rates;
    private final CropBook crops;
    private final OrderBook orders;

    PlanViews(PromiseService promises, RateBook rates, CropBook crops, OrderBook orders) {
        this.promises = promises;
        this.rates = rates;
        this.crops = crops;
        this.orders = orders;
    }

    /** The plan for a wish with what else could give it. */
    public PlanView view(Wish wish) {
        PromiseService.Checked checked = promises.check(wish, true);
        return PlanView.of(
                checked,
                wish.target(),
                rates.rates(),
                promises.sources(wish, checked, rates.rates()),
                checked.promise().offers().stream()
                        .map(offer -> view(offer, wish))
                        .toList());
    }

    /** A plan to be compared with others. */
    PlanView beside(PromiseService.Checked checked, Wish wish) {
        return PlanView.of(checked, wish.target(), rates.rates(), List.of(), List.of());
    }

    private PlanView.OfferView view(Offer offer, Wish wish) {
        Long siteId = offer.site().isEmpty() ? null : Long.valueOf(offer.site());
        Site site = siteId == null ? null : orders.site(siteId);
        return new PlanView.OfferView(
                offer.change(),
                offer.target(),
                offer.plants(),
                offer.container(),
                crops.container(offer.container()).name(),
                siteId == null ? wish.siteId() : siteId,
                site == null ? null : site.name(),
                offer.protection(),
                offer.chance());
    }
}
